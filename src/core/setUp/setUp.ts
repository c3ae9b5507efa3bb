import type { HouseRules } from '../shop/houseRules';
import {
  NOTHING_CHANGED,
  type SetUp,
  type SetUpChange,
  type SetUpStep,
  type ShopFacts,
  type SpeciesSetUp,
} from './types';

/** Changes that concern what can be cut or made, and not only how the shop works. */
function changesCatalogue({ kind }: SetUpChange): boolean {
  return !['rules', 'shop', 'place', 'without-place', 'cure-recipe', 'smoke-plan', 'back'].includes(kind);
}

/** The steps that stand: neither taken back nor a taking back. */
export function standing(steps: readonly SetUpStep[]): SetUpStep[] {
  const back = new Set(steps.flatMap(({ change }) => (change.kind === 'back' ? [change.step] : [])));
  return steps.filter(({ number, change }) => change.kind !== 'back' && !back.has(number));
}

/**
 * How a shop is set up after these steps, in their order.
 *
 * @param base - the rules that the shop began with
 */
export function setUpAfter(base: HouseRules, steps: readonly SetUpStep[]): SetUp {
  const nothing: SetUp = {
    number: 0,
    catalogueNumber: 0,
    rules: base,
    species: {},
    items: {},
    places: [],
    cureRecipes: [],
    smokePlans: [],
    ownSpecies: [],
  };
  const made = standing(steps).reduce((setUp, { change }) => withChange(setUp, change), nothing);
  const byNumber = new Map(steps.map((step) => [step.number, step.change]));
  const ofCatalogue = steps.filter(({ change }) => {
    const meant = change.kind === 'back' ? byNumber.get(change.step) : change;
    return meant !== undefined && changesCatalogue(meant);
  });
  return {
    ...made,
    number: steps.at(-1)?.number ?? 0,
    catalogueNumber: ofCatalogue.at(-1)?.number ?? 0,
    // A number once given belongs to its thing for ever, whether the thing is still made or not.
    items: steps.reduce((items, { change }) => withItems(items, change), nothing.items),
    rules: { ...made.rules, version: base.version + (lastOfRules(steps)?.number ?? 0) },
  };
}

function lastOfRules(steps: readonly SetUpStep[]): SetUpStep | undefined {
  return steps.findLast(({ change }) => change.kind === 'rules' || change.kind === 'back');
}

function withItems(items: SetUp['items'], change: SetUpChange): SetUp['items'] {
  if (!('items' in change)) return items;
  const id = change.kind === 'species' ? change.own.id : change.species;
  return { ...items, [id]: { ...items[id], ...change.items } };
}

/** The set-up with one change made. */
export function withChange(setUp: SetUp, change: SetUpChange): SetUp {
  switch (change.kind) {
    case 'rules':
      return { ...setUp, rules: { ...setUp.rules, ...change.rules } };
    case 'cure-recipe':
      return { ...setUp, cureRecipes: replaced(setUp.cureRecipes, change.recipe) };
    case 'smoke-plan':
      return { ...setUp, smokePlans: replaced(setUp.smokePlans, change.plan) };
    case 'place':
      return { ...setUp, places: replaced(setUp.places, change.place) };
    case 'without-place':
      return { ...setUp, places: setUp.places.filter(({ id }) => id !== change.id) };
    case 'species':
      return { ...withItemsOf(setUp, change), ownSpecies: replaced(setUp.ownSpecies, change.own) };
    case 'shop':
    case 'back':
      return setUp;
    default:
      return withSpecies(withItemsOf(setUp, change), change.species, (own) => ofSpecies(own, change));
  }
}

function withItemsOf(setUp: SetUp, change: SetUpChange): SetUp {
  return { ...setUp, items: withItems(setUp.items, change) };
}

function withSpecies(setUp: SetUp, id: string, change: (own: SpeciesSetUp) => SpeciesSetUp): SetUp {
  return { ...setUp, species: { ...setUp.species, [id]: change(setUp.species[id] ?? NOTHING_CHANGED) } };
}

type SpeciesChange = Extract<SetUpChange, { readonly species: string }>;

function ofSpecies(own: SpeciesSetUp, change: SpeciesChange): SpeciesSetUp {
  switch (change.kind) {
    case 'species-rules':
      return { ...own, rules: { ...own.rules, ...change.rules } };
    case 'atlas':
      return { ...own, atoms: change.atoms };
    case 'break':
      return { ...own, breaks: { ...own.breaks, [change.break]: change.place } };
    case 'house':
      return {
        ...own,
        house: { ...own.house, [change.decision]: change.says },
        defaults: { ...own.defaults, ...change.usual },
      };
    case 'usual':
      return { ...own, defaults: { ...own.defaults, [change.param]: change.value } };
    case 'keep':
      return { ...own, keeps: { ...own.keeps, [change.id]: { keep: change.keep, reason: change.reason } } };
    case 'word':
      return {
        ...own,
        words:
          change.word === '' ? without(own.words, change.cut) : { ...own.words, [change.cut]: change.word },
      };
    case 'alias':
      return {
        ...own,
        aliases:
          change.say.length === 0
            ? without(own.aliases, change.cut)
            : { ...own.aliases, [change.cut]: change.say },
      };
    case 'offer':
      return { ...own, hidden: switched(own.hidden, change.option, change.offered) };
    case 'own-cut':
      return { ...own, ownCuts: replaced(own.ownCuts, change.cut) };
    case 'without-own-cut':
      return { ...own, ownCuts: own.ownCuts.filter(({ id }) => id !== change.id) };
    case 'recipe':
      return { ...own, recipes: replaced(own.recipes, change.recipe) };
    case 'offer-recipe':
      return { ...own, hiddenRecipes: switched(own.hiddenRecipes, change.id, change.offered) };
  }
}

function without<T>(record: Readonly<Record<string, T>>, key: string): Readonly<Record<string, T>> {
  return Object.fromEntries(Object.entries(record).filter(([each]) => each !== key));
}

/** A list with one thing in place of what had its id, or at its end. */
function replaced<T extends { readonly id: string }>(list: readonly T[], one: T): T[] {
  const isThere = list.some(({ id }) => id === one.id);
  return isThere ? list.map((each) => (each.id === one.id ? one : each)) : [...list, one];
}

function switched(hidden: readonly string[], id: string, offered: boolean): readonly string[] {
  const others = hidden.filter((each) => each !== id);
  return offered ? others : [...others, id];
}

/** The facts of the shop once a step about them is taken back: what they were, and what later steps have said. */
export function shopFactsWithout(steps: readonly SetUpStep[], number: number): ShopFacts {
  const taken = steps.find((step) => step.number === number)?.change;
  if (taken?.kind !== 'shop') return {};
  const later = standing(steps).filter((step) => step.number > number);
  return later.reduce<ShopFacts>(
    (facts, { change }) => (change.kind === 'shop' ? { ...facts, ...change.shop } : facts),
    taken.was,
  );
}
