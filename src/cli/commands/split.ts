import { workOut, type WorkedShare } from '@/core/order/forecastDocument';
import { inUnits, type Weight } from '@/core/quantity/weight';
import { lotsOf } from '@/core/split/lots';
import { counted } from '@/core/quantity/counted';
import { splitPackages, type Split } from '@/core/split/splitPackages';
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
    if (shared.length === 0)
      at.err(`${asked.words[0]}: no part of it is shared by percent: nothing to give out.\n`);
    const splits = [];
    for (const { part, own } of shared) {
      const lots = lotsOf(own[0]!.forecast);
      const parties = own.map(({ share }) => ({ name: share.owner.name, sharePct: share.sharePct ?? 100 }));
      const found = await splitPackages({ lots, parties });
      at.err(inWords(part, own, found));
      splits.push({
        part,
        unfairnessPct: Math.round(found.unfairnessPct * 1000) / 1000,
        boundPct: Math.round(found.boundPct * 1000) / 1000,
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

/** How fair a part came out, and whose sheet it was cut by. */
function inWords(
  part: string,
  own: readonly WorkedShare[],
  { unfairnessPct, boundPct, proven }: Split,
): string {
  const [first, ...others] = own.map(({ share }) => share).filter(({ sheet }) => sheet);
  const ignored = others.filter(({ sheet }) => JSON.stringify(sheet) !== JSON.stringify(first!.sheet));
  const sure = proven
    ? 'no other split is fairer by anything that can be weighed'
    : `the best there is lies between that and ${boundPct.toFixed(3)} %`;
  return [
    `${part}, ${counted(own.length, 'household')}: nobody is off by more than ${unfairnessPct.toFixed(3)} %; ${sure}\n`,
    ...ignored.map(
      ({ owner }) =>
        `${part}: one part is cut one way, by the sheet of ${first!.owner.name}; that of ${owner.name} is not used\n`,
    ),
  ].join('');
}

/** Packages by cut; lots of one cut are one entry. */
function packsOf(lots: readonly { cut: string }[], counts: readonly number[]): Record<string, number> {
  const packs: Record<string, number> = {};
  lots.forEach(({ cut }, at) => {
    if (counts[at]! > 0) packs[cut] = (packs[cut] ?? 0) + counts[at]!;
  });
  return packs;
}
