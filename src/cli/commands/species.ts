import { scarceCuts } from '@/core/shares/scarce';
import { readCatalogue } from '@/data/catalogue';
import type { Species } from '@/core/species/types';
import { EXIT, printJson, speciesNamed, type Command } from '../console';

export const species: Command = {
  usage:
    'species [ID]                 what the app knows: ids of decisions, options, breaks, schools, types, flags (--json)',
  words: [0, 1],
  run: async (asked, at) => {
    const [id] = asked.words;
    const named = id === undefined ? undefined : speciesNamed(id, at);
    if (id !== undefined && !named) return EXIT.usage;
    const wanted = named ? [named] : readCatalogue().species;
    if (asked.json) printJson(wanted.map(factsOf), at);
    else for (const each of wanted) at.out(id === undefined ? lineOf(each) : pageOf(each));
    return EXIT.done;
  },
};

function factsOf(species: Species) {
  const { id, name, atlas, decisions, breaks, schools, types, flags } = species;
  return {
    id,
    name,
    referenceSideLb: atlas.reference.sideLb,
    atoms: atlas.atoms.length,
    decisions: decisions.map((decision) => ({
      id: decision.id,
      options: decision.options.map((option) => option.id),
      house: decision.house.option,
    })),
    breaks: breaks.map((each) => ({
      id: each.id,
      places: each.places.map((place) => place.id),
      reference: each.reference,
    })),
    schools: schools.map((school) => school.id),
    types: types.map((type) => type.id),
    flags: flags.map((flag) => flag.id),
    scarce: scarceCuts(species),
  };
}

function lineOf(of: Species): string {
  const { atlas, decisions, schools } = of;
  return `${of.id.padEnd(8)} ${of.name}: side of ${atlas.reference.sideLb} lb in ${atlas.atoms.length} atoms, ${decisions.length} decisions, ${schools.length} schools\n`;
}

function pageOf(of: Species): string {
  const facts = factsOf(of);
  return [
    `${of.name}. ${of.atlas.source}\n`,
    ...facts.decisions.map(({ id, options, house }) => `  ${id}: ${options.join(', ')} (house: ${house})\n`),
    ...facts.breaks.map(
      ({ id, places, reference }) => `  break ${id}: ${places.join(', ')} (usual: ${reference})\n`,
    ),
    `  schools: ${facts.schools.join(', ')}\n`,
    `  types: ${facts.types.join(', ') || 'none'}\n`,
    `  flags: ${facts.flags.join(', ') || 'none'}\n`,
    `  few to an animal: ${facts.scarce.map(({ cut, perAnimal }) => `${cut} ${perAnimal}`).join(', ')}\n`,
  ].join('');
}
