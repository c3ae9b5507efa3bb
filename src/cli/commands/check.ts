import { workOut } from '@/core/order/forecastDocument';
import { EXIT, openOrder, printJson, type Command } from '../console';

export const check: Command = {
  usage: 'check FILE.json              clashes and open questions of its sheets',
  words: [1, 1],
  run: async (asked, at) => {
    const read = await openOrder(asked.words[0]!, asked, at);
    if (!read) return EXIT.unreadable;
    const found = workOut(read.shop, read.order).flatMap(({ share, findings }) =>
      findings.map(({ kind, decision, blocks, sentence }) => ({
        part: share.part,
        owner: share.owner.name,
        kind,
        decision,
        blocks,
        sentence,
      })),
    );
    if (asked.json) printJson(found, at);
    else {
      for (const each of found) {
        const mark = each.blocks ? each.kind : `remark, ${each.kind}`;
        at.out(`${each.owner}, ${each.part}: ${each.decision}: ${mark}: ${each.sentence}\n`);
      }
      if (found.length === 0) at.out('Nothing is open.\n');
    }
    return found.some((each) => each.blocks) ? EXIT.open : EXIT.done;
  },
};
