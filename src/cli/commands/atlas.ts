import { atlasProblems, readAtlas, writeAtlas } from '@/core/formats/atlasCsv';
import { readCatalogue } from '@/data/catalogue';
import { EXIT, readText, refuse, speciesNamed, type Command, type Console } from '../console';

export const atlas: Command = {
  usage:
    'atlas check FILE.csv         whether a table of atoms can be an atlas; atlas print SPECIES writes one',
  words: [2, 2],
  run: async (asked, at) => {
    const [what, of] = asked.words;
    if (what === 'print') return print(of!, at);
    if (what !== 'check') {
      at.err(`atlas ${what}: check or print.\n`);
      return EXIT.usage;
    }
    const text = await readText(of!, at.stdin);
    if (!text.ok) return refuse(of!, text, at);
    const atoms = readAtlas(text.value);
    if (!atoms.ok) return refuse(of!, atoms, at);
    const spines = readCatalogue().species.map((species) => species.atlas.vertebrae);
    const problems = atlasProblems(atoms.value, spines);
    for (const { field, message } of problems) at.out(`${of}: ${field}: ${message}\n`);
    if (problems.length > 0) return EXIT.open;
    at.out(`${atoms.value.length} atoms, shares 100 %, every composition 100 %.\n`);
    return EXIT.done;
  },
};

function print(id: string, at: Console): number {
  const species = speciesNamed(id, at);
  if (!species) return EXIT.usage;
  at.out(writeAtlas(species.atlas.atoms));
  return EXIT.done;
}
