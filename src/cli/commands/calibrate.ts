import { learnSeason } from '@/core/order/season';
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
    printJson(learnt.value, at);
    return EXIT.done;
  },
};
