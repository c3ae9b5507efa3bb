import { learnSeason, type LearntGroup } from '@/core/order/season';
import { counted } from '@/core/quantity/counted';
import { readCatalogue } from '@/data/catalogue';
import { EXIT, printJson, readJson, refuse, type Command } from '../console';

export const calibrate: Command = {
  usage:
    "calibrate SEASON.json        the shop's own figures from finished orders, for forecast --experience",
  words: [1, 1],
  run: async (asked, at) => {
    const [file] = asked.words;
    const raw = await readJson(file!, at.stdin);
    if (!raw.ok) return refuse(file!, raw, at);
    const learnt = learnSeason(raw.value, { unit: 'lb', tools: asked.tools, catalogue: readCatalogue() });
    if (!learnt.ok) return refuse(file!, learnt, at);
    at.err(learnt.value.groups.map(inWords).join(''));
    printJson(learnt.value, at);
    return EXIT.done;
  },
};

/** Cuts that a shop packs so much more or less of are worth a line. */
const WORTH_SAYING_PCT = 1;

function inWords({ species, boneState, orders, cuts }: LearntGroup): string {
  const lines = Object.entries(cuts).flatMap(([cut, { logRatio, evidence }]) => {
    const pct = 100 * (Math.exp(logRatio) - 1);
    if (Math.abs(pct) < WORTH_SAYING_PCT) return [];
    const own = Math.round(100 * evidence);
    return [
      `  ${cut}: ${Math.abs(pct).toFixed(1)} % ${pct > 0 ? 'more' : 'less'} than the reference, ${own} % by its own orders\n`,
    ];
  });
  const as = lines.length === 0 ? 'every cut within a hundredth of the reference' : 'this shop packs';
  return `${species}, ${boneState}, ${counted(orders, 'part')} finished: ${as}\n${lines.join('')}`;
}
