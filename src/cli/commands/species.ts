import { scarceCuts } from '@/core/shares/scarce';
import { readCatalogue } from '@/data/catalogue';
import { formatInches } from '@/core/quantity/length';
import { GRIND_SIZES } from '@/core/sheet/grindSizes';
import { GRIND_FORMS, type ParamSpec, type Species } from '@/core/species/types';
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
  const { id, name, atlas, decisions, breaks, schools, types, flags, recipes, poolKeeps, offal, grind } =
    species;
  return {
    id,
    name,
    referenceSideLb: atlas.reference.sideLb,
    atoms: atlas.atoms.map((atom) => ({ id: atom.id, name: atom.name })),
    addOns: atlas.addOns.map(({ atom }) => ({ id: atom.id, name: atom.name })),
    decisions: decisions.map((decision) => ({
      id: decision.id,
      title: decision.title,
      divisible: decision.divisible === true,
      ...(decision.needsAddOn === undefined ? {} : { needsAddOn: decision.needsAddOn }),
      house: decision.house.option,
      options: decision.options.map((option) => ({
        id: option.id,
        label: option.label,
        params: (option.params ?? []).map((spec) => ({ id: spec.id, takes: rangeOf(spec) })),
        ...(option.takesOver ? { takesOver: option.takesOver } : {}),
      })),
    })),
    grind: {
      fatPct: `${grind.fatPct.min} to ${grind.fatPct.max}`,
      recipes: recipes.map((recipe) => ({ id: recipe.id, name: recipe.name, forms: recipe.forms })),
    },
    sizes: GRIND_FORMS.map((form) => ({ form, sizes: GRIND_SIZES[form].map((size) => size.id) })),
    keeps: poolKeeps.map((keep) => ({ id: keep.id, title: keep.title })),
    offal: offal.map((each) => ({ id: each.id, title: each.label })),
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

/** What may be said for a parameter, as the order file takes it. */
function rangeOf(spec: ParamSpec): string {
  switch (spec.kind) {
    case 'length':
      return `${formatInches(spec.minIn)} to ${formatInches(spec.maxIn)}${wordsOf(spec.words)}`;
    case 'weight':
      return `${spec.minLb} to ${spec.maxLb} lb`;
    case 'count':
      return `${spec.min} to ${spec.max}`;
    case 'yesNo':
      return 'true or false';
    case 'choice':
      return Object.keys(spec.options).join(', ');
  }
}

function wordsOf(words: Readonly<Record<string, number>> | undefined): string {
  return words ? `, or ${Object.keys(words).join(', ')}` : '';
}

function lineOf(of: Species): string {
  const { atlas, decisions, schools } = of;
  return `${of.id.padEnd(8)} ${of.name}: side of ${atlas.reference.sideLb} lb in ${atlas.atoms.length} atoms, ${decisions.length} decisions, ${schools.length} schools\n`;
}

function takenWords(takesOver: readonly string[] | undefined): string {
  if (!takesOver) return '';
  return `; has the pieces of ${takesOver.includes('*') ? 'everything else' : takesOver.join(', ')}`;
}

/** All that a person needs to write a sheet by hand. */
function pageOf(of: Species): string {
  const facts = factsOf(of);
  const named = (list: readonly { id: string; name?: string; title?: string }[]) =>
    list.map(({ id, name, title }) => `${id} (${name ?? title})`).join(', ') || 'none';
  return [
    `${of.name}. ${of.atlas.source}\n\nanswers: a decision, its options, and what an option takes besides\n`,
    ...facts.decisions.flatMap(({ id, title, options, house, divisible, needsAddOn }) => [
      `  ${id}: ${title}${divisible ? ', in several forms' : ''}${needsAddOn ? `, with the add-on ${needsAddOn}` : ''} (house: ${house})\n`,
      ...options.map(
        ({ id: option, label, params, takesOver }) =>
          `    ${option}: ${label}${params.map((spec) => `; ${spec.id}: ${spec.takes}`).join('')}${takenWords(takesOver)}\n`,
      ),
    ]),
    'a form may say besides otherwise: an option that the cutter may take when the piece does not look right\n',
    `grind: fatPct ${facts.grind.fatPct}; picked: true or false; recipes\n`,
    ...facts.grind.recipes.map(({ id, name, forms }) => `  ${id}: ${name}; ${forms.join(', ')}\n`),
    ...facts.sizes.map(({ form, sizes }) => `  size of ${form}: ${sizes.join(', ')}\n`),
    `offal: ${named(facts.offal)}\n`,
    `keeps: ${named(facts.keeps)}\n`,
    `animal.addOns: ${named(facts.addOns)}\n`,
    'animal.carcass\n',
    ...facts.breaks.map(
      ({ id, places, reference }) => `  breaks.${id}: ${places.join(', ')} (usual: ${reference})\n`,
    ),
    `  school: ${facts.schools.join(', ')}\n`,
    `  condition.type: ${facts.types.join(', ') || 'none'}\n`,
    `  condition.flags: ${facts.flags.join(', ') || 'none'}\n`,
    `  condition.missing, condition.condemned: ${named(facts.atoms)}\n`,
    `few to an animal: ${facts.scarce.map(({ cut, perAnimal }) => `${cut} ${perAnimal}`).join(', ')}\n`,
  ].join('');
}
