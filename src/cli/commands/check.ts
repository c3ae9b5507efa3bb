import { workOut, type WorkedShare } from '@/core/order/forecastDocument';
import { offalAskedTwice, promisedTwice } from '@/core/shares/scarce';
import { speciesIn } from '@/core/catalogue/catalogue';
import { EXIT, openOrder, printJson, type Command } from '../console';

/** Households that share a part by percent keep its pieces together. */
function firstOfEachPart<T>(worked: readonly WorkedShare[], of: readonly T[]): T[] {
  const parts = worked.map(({ share }) => share.part);
  return of.filter((_, at) => parts.indexOf(parts[at]!) === at);
}

export const check: Command = {
  usage: 'check FILE.json              clashes and open questions of its sheets',
  words: [1, 1],
  run: async (asked, at) => {
    const read = await openOrder(asked.words[0]!, asked, at);
    if (!read) return EXIT.unreadable;
    const worked = workOut(read.shop, read.order);
    const found = worked.flatMap(({ share, findings }) =>
      findings.map(({ kind, decision, blocks, sentence }) => ({
        part: share.part,
        owner: share.owner.name,
        kind,
        decision,
        blocks,
        sentence,
      })),
    );
    const shares = worked.map(({ share, forecast }) => ({ owner: share.owner.name, lines: forecast.lines }));
    const species = speciesIn(read.shop.catalogue, read.order.animal.species);
    const atTheKill = worked.map(({ share }) => ({
      owner: share.owner.name,
      offal: share.sheet?.offal ?? [],
    }));
    const twice = [
      ...promisedTwice(species, firstOfEachPart(worked, shares)),
      ...offalAskedTwice(species, atTheKill),
    ];
    if (asked.json) printJson(found, at);
    else {
      for (const each of found) {
        const mark = each.blocks ? each.kind : `remark, ${each.kind}`;
        at.out(`${each.owner}, ${each.part}: ${each.decision}: ${mark}: ${each.sentence}\n`);
      }
      for (const { sentence } of twice) at.out(`The whole animal: remark: ${sentence}\n`);
      if (found.length === 0) at.out('Nothing is open.\n');
    }
    return found.some((each) => each.blocks) ? EXIT.open : EXIT.done;
  },
};
