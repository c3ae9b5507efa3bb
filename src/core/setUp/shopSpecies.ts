import type { Catalogue } from '../catalogue/catalogue';
import { cutNames } from '../species/cutNames';
import { pantryOf, recipeOf } from '../species/recipe';
import type { Decision, GrindRules, Ingredient, Option, ParamSpec, Recipe, Species } from '../species/types';
import { ownOption } from './ownCut';
import { NOTHING_CHANGED, type SetUp, type SpeciesSetUp } from './types';

/** A species as a shop has it: its own cuts, words, figures and flavours on top of what ships with the app. */
export function shopSpecies(
  shipped: Species,
  own: SpeciesSetUp,
  {
    ingredients,
    items,
  }: { readonly ingredients: readonly Ingredient[]; readonly items: Readonly<Record<string, number>> },
): Species {
  const made: Species = {
    ...shipped,
    ...(own.atoms ? { atlas: { ...shipped.atlas, atoms: own.atoms } } : {}),
    items: { ...shipped.items, ...items },
    decisions: shipped.decisions.map((decision) => decisionOf(shipped, decision, own)),
    recipes: recipesOf(shipped, own, ingredients),
    grind: grindOf(shipped.grind, own),
    hang: {
      targetDays: own.rules.targetDays ?? shipped.hang.targetDays,
      longestDays: own.rules.longestDays ?? shipped.hang.longestDays,
    },
    tolerance:
      own.rules.tolerancePct === undefined ? shipped.tolerance : { lineShare: own.rules.tolerancePct / 100 },
    poolKeeps: shipped.poolKeeps.map((keep) =>
      own.keeps[keep.id] ? { ...keep, house: own.keeps[keep.id]! } : keep,
    ),
    ...limitsOf(own),
    ...(own.rules.months ? { months: own.rules.months } : {}),
    words: own.words,
    usual: { ...(own.rules.school ? { school: own.rules.school } : {}), breaks: own.breaks },
  };
  return withoutWhatIsHidden(made, own);
}

function limitsOf({ rules }: SpeciesSetUp): Pick<Species, 'limits'> {
  if (rules.lightLb === undefined && rules.heavyLb === undefined) return {};
  return { limits: { lightLb: rules.lightLb ?? 0, heavyLb: rules.heavyLb ?? Number.POSITIVE_INFINITY } };
}

function decisionOf(shipped: Species, decision: Decision, own: SpeciesSetUp): Decision {
  const added = own.ownCuts
    .filter((cut) => cut.decision === decision.id)
    .map((cut) => ownOption(shipped, cut));
  const options = [...decision.options, ...added].map((option) => withDefaults(decision, option, own));
  const says = own.house[decision.id];
  if (!says) return { ...decision, options };
  // What an owner says holds always: in place of what the house said in circumstances or beside another answer.
  return { ...decision, options, house: says };
}

function withDefaults(decision: Decision, option: Option, { defaults }: SpeciesSetUp): Option {
  const said = (id: string) => defaults[`${decision.id}.${option.id}.${id}`];
  if (!option.params?.some(({ id }) => said(id) !== undefined)) return option;
  return { ...option, params: option.params.map((spec) => withDefault(spec, said(spec.id))) };
}

function withDefault(spec: ParamSpec, value: number | boolean | string | undefined): ParamSpec {
  if (value === undefined) return spec;
  switch (spec.kind) {
    case 'length':
      return typeof value === 'number' ? { ...spec, defaultIn: value } : spec;
    case 'weight':
      return typeof value === 'number' ? { ...spec, defaultLb: value } : spec;
    case 'count':
      return typeof value === 'number' ? { ...spec, default: value } : spec;
    case 'yesNo':
      return typeof value === 'boolean' ? { ...spec, default: value } : spec;
    case 'choice':
      return typeof value === 'string' ? { ...spec, default: value } : spec;
  }
}

function recipesOf(shipped: Species, own: SpeciesSetUp, ingredients: readonly Ingredient[]): Recipe[] {
  const pantry = pantryOf(ingredients);
  const made = new Map(own.recipes.map((written) => [written.id, recipeOf(written, pantry)]));
  const kept = shipped.recipes.map((recipe) => made.get(recipe.id) ?? recipe);
  const added = [...made.values()].filter(({ id }) => !shipped.recipes.some((recipe) => recipe.id === id));
  return [...kept, ...added].filter(({ id }) => !own.hiddenRecipes.includes(id));
}

function grindOf(grind: GrindRules, { rules }: SpeciesSetUp): GrindRules {
  const { when: _when, ...fatPct } = grind.fatPct;
  return {
    ...grind,
    fatPct: rules.grindFatPct === undefined ? grind.fatPct : { ...fatPct, default: rules.grindFatPct },
    packLb: { ...grind.packLb, default: rules.grindPackLb ?? grind.packLb.default },
    minBatchLb: { ...grind.minBatchLb, default: rules.minBatchLb ?? grind.minBatchLb.default },
    kindsPerHalf: rules.kindsPerHalf ?? grind.kindsPerHalf,
    ...(rules.anotherKindFromLb ? { anotherKindFromLb: rules.anotherKindFromLb } : {}),
  };
}

/** The species without the options that a shop does not do, and without everything that speaks of them. */
function withoutWhatIsHidden(species: Species, { hidden, aliases, house }: SpeciesSetUp): Species {
  const isHidden = (decision: string, option: string) => hidden.includes(`${decision}.${option}`);
  const decisions = species.decisions.map((decision) => ({
    ...decision,
    options: decision.options.filter(({ id }) => !isHidden(decision.id, id)),
    house: withoutHiddenWays(decision, isHidden),
  }));
  // What an owner says of a decision stands above what its schools and types say of it.
  const houseOf = (others: Readonly<Record<string, string>> | undefined) =>
    Object.fromEntries(
      Object.entries(others ?? {}).filter(
        ([decision, option]) => !isHidden(decision, option) && !Object.hasOwn(house, decision),
      ),
    );
  const left = { ...species, decisions };
  const cuts = new Set(cutNames(left).map(({ cut }) => cut));
  const said = Object.entries(aliases).map(([cut, say]) => ({ cut, say }));
  return {
    ...left,
    names: [...species.names, ...said].filter(({ cut }) => cuts.has(cut)),
    schools: species.schools.map((school) => ({
      ...school,
      house: houseOf(school.house),
      names: Object.fromEntries(Object.entries(school.names).filter(([cut]) => cuts.has(cut))),
    })),
    types: species.types.map((type) => ({ ...type, house: houseOf(type.house) })),
    grind: {
      ...species.grind,
      sacrifices: species.grind.sacrifices.filter(({ decision, option }) => !isHidden(decision, option)),
    },
  };
}

function withoutHiddenWays(
  { id, house }: Decision,
  isHidden: (decision: string, option: string) => boolean,
): Decision['house'] {
  const { when, ...always } = house;
  const kept = when?.filter(({ option, then }) => ![option, then].some((said) => said && isHidden(id, said)));
  return kept?.length ? { ...always, when: kept } : always;
}

/** Versions of a species that orders still stand on at the same time. */
const KEPT = 12;
const made = new WeakMap<Species, Map<string, Species>>();

/** What ships with the app and what the shop brought itself, before anything of it is changed. */
export function withOwnSpecies(shipped: Catalogue, { ownSpecies }: SetUp): Catalogue {
  return ownSpecies.length === 0 ? shipped : { ...shipped, species: [...shipped.species, ...ownSpecies] };
}

/**
 * The catalogue as a shop has it. A species that nothing changes is the shipped one, and the same changes always give
 * the same value, so that what is worked out for a species is not worked out again.
 */
export function shopCatalogue(shipped: Catalogue, setUp: SetUp): Catalogue {
  if (setUp.catalogueNumber === 0) return shipped;
  return {
    ...shipped,
    version: `${shipped.version}.${setUp.catalogueNumber}`,
    species: withOwnSpecies(shipped, setUp).species.map((species) => {
      const own = setUp.species[species.id] ?? NOTHING_CHANGED;
      const items = setUp.items[species.id] ?? {};
      if (own === NOTHING_CHANGED && Object.keys(items).length === 0) return species;
      const known = made.get(species) ?? new Map<string, Species>();
      made.set(species, known);
      const key = JSON.stringify([own, items]);
      const found = known.get(key) ?? shopSpecies(species, own, { ingredients: shipped.ingredients, items });
      // The one that was asked for last stands last, and the first goes.
      known.delete(key);
      known.set(key, found);
      if (known.size > KEPT) known.delete(known.keys().next().value!);
      return found;
    }),
  };
}
