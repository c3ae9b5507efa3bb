import { searchCuts } from '@/core/names/searchCuts';
import { EXIT, printJson, speciesNamed, type Command } from '../console';

export const find: Command = {
  usage:
    'find SPECIES WORDS           the cut that a word means: any name, country, dish or misspelling (--json)',
  words: [2, 12],
  run: async (asked, at) => {
    const [id, ...words] = asked.words;
    const species = speciesNamed(id!, at);
    if (!species) return EXIT.usage;
    const found = searchCuts(species, words.join(' '));
    if (asked.json) printJson(found, at);
    else {
      if (found.question) at.out(`${found.question}\n`);
      for (const { cut, decision, option, said } of found.hits) {
        at.out(`${cut}: ${decision}, ${option}${said === cut ? '' : ` ("${said}")`}\n`);
      }
      if (found.hits.length === 0) at.out(`${found.absent ?? 'Nothing is called that.'}\n`);
    }
    return found.hits.length > 0 ? EXIT.done : EXIT.open;
  },
};
