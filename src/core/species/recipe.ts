import type { Ingredient, Recipe, RecipeState, Rite, WrittenRecipe } from './recipeTypes';

/**
 * What is left of a batch when it is packed, as a share of what was ground (processing figures: smoked sausage 85 to
 * 92 %, sticks and strips 65 to 75 %).
 */
export const FINISHED_SHARE: Readonly<Record<RecipeState, number>> = {
  raw: 1,
  boiled: 1,
  smoked: 0.88,
  dried: 0.7,
};

/** What the label says of the state; whether smoked is fully cooked is for the shop's own plan to say. */
export const STATE_WORDS: Readonly<Record<RecipeState, string>> = {
  raw: 'Raw. Cook before eating.',
  boiled: 'Cooked. Keep cold.',
  smoked: 'Cured and smoked. Cook before eating.',
  dried: 'Cured and dried.',
};

/** What a state is charged for besides grinding. */
export const STATE_CHARGES: Readonly<Record<RecipeState, readonly string[]>> = {
  raw: [],
  boiled: ['cooking'],
  smoked: ['smoking-sausage'],
  dried: ['drying-sausage'],
};

/** The ingredients of a book by name. */
export type Pantry = ReadonlyMap<string, Ingredient>;

export function pantryOf(ingredients: readonly Ingredient[]): Pantry {
  return new Map(ingredients.map((each) => [each.name, each]));
}

/**
 * A recipe with what follows from what is in it: the list in descending order by weight, the allergens, the rites it
 * offends.
 *
 * @throws RangeError when the pantry does not know an ingredient
 */
export function recipeOf(written: WrittenRecipe, pantry: Pantry): Recipe {
  const parts = [...written.parts]
    .sort((a, b) => b.lb - a.lb)
    .map(({ ingredient }) => known(pantry, ingredient));
  const list = parts.map(({ name, of }) => (of ? `${name} (${of.join(', ')})` : name)).join(', ');
  const notFor = once<Rite>(parts.flatMap((part) => part.notFor ?? []));
  return {
    ...written,
    seasoned: parts.some((part) => part.meat !== true),
    ingredients: `${list.charAt(0).toUpperCase()}${list.slice(1)}.`,
    allergens: once(parts.flatMap((part) => part.allergens ?? [])).sort(),
    ...(notFor.length > 0 ? { notFor } : {}),
  };
}

function known(pantry: Pantry, name: string): Ingredient {
  const found = pantry.get(name);
  if (!found) throw new RangeError(`"ingredient" expected one of the pantry, got ${name}`);
  return found;
}

function once<T>(list: readonly T[]): T[] {
  return [...new Set(list)];
}

/** The recipe of a species with this id; its plain one where there is none. */
export function recipeNamed({ recipes }: { readonly recipes: readonly Recipe[] }, id: string): Recipe {
  return recipes.find((each) => each.id === id) ?? recipes[0]!;
}

/** Whether what it makes lies in smoke or dries before it is packed: green weight first, finished weight later. */
export function isCured({ state }: Pick<Recipe, 'state'>): boolean {
  return FINISHED_SHARE[state] < 1;
}
