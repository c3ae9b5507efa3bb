import { workOut } from '@/core/order/forecastDocument';
import { inUnits, type Weight } from '@/core/quantity/weight';
import { lotsOf } from '@/core/split/lots';
import { splitPackages } from '@/core/split/splitPackages';
import { EXIT, openOrder, printJson, type Command } from '../console';

export const split: Command = {
  usage:
    'split FILE.json              the packages of every part that several households share, given out fairly',
  words: [1, 1],
  run: async (asked, at) => {
    const read = await openOrder(asked.words[0]!, asked, at);
    if (!read) return EXIT.unreadable;
    const worked = workOut(read.shop, read.order);
    const parts = [...new Set(read.order.shares.map((share) => share.part))];
    const shared = parts.flatMap((part) => {
      const own = worked.filter((each) => each.share.part === part);
      return own.length > 1 ? [{ part, own }] : [];
    });
    const splits = [];
    for (const { part, own } of shared) {
      const lots = lotsOf(own[0]!.forecast);
      const parties = own.map(({ share }) => ({ name: share.owner.name, sharePct: share.sharePct ?? 100 }));
      const found = await splitPackages({ lots, parties });
      splits.push({
        part,
        unfairnessPct: Math.round(found.unfairnessPct * 1000) / 1000,
        proven: found.proven,
        parties: found.parties.map((party, at) => ({
          name: party.name,
          sharePct: parties[at]!.sharePct,
          packages: party.packages,
          weight: inUnits(party.weight as Weight),
          weightOffPct: Math.round(party.weightOffPct * 1000) / 1000,
          worthOffPct: Math.round(party.worthOffPct * 1000) / 1000,
          packs: packsOf(
            lots,
            found.counts.map((counts) => counts[at]!),
          ),
        })),
      });
    }
    printJson({ format: 'fractum.split', version: 1, unit: read.shop.unit, splits }, at);
    return EXIT.done;
  },
};

/** Packages by cut; lots of one cut are one entry. */
function packsOf(lots: readonly { cut: string }[], counts: readonly number[]): Record<string, number> {
  const packs: Record<string, number> = {};
  lots.forEach(({ cut }, at) => {
    if (counts[at]! > 0) packs[cut] = (packs[cut] ?? 0) + counts[at]!;
  });
  return packs;
}
