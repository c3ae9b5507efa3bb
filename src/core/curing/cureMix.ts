import type { Instant } from '../time/shopTime';
import type { WeighingId } from '../order/work';
import type { Weight, WeighingUnit } from '../quantity/weight';
import type { Pantry } from '../species/recipe';
import { isToMeat, type CureRecipe } from './cureRecipe';
import {
  dueWithin,
  gramsOf,
  missingIngredients,
  nitriteShareOf,
  weighedOf,
  whyNotIngredient,
  type Due,
  type DueIngredient,
  type IngredientDeed,
} from './ingredients';
import { limitOf, type NitriteRules } from './limits';

/** A brine that is made, or a rub that is weighed, for one piece or for as many as it suffices for. */
export type CureMix = {
  readonly id: string;
  readonly recipe: CureRecipe;
  /** Pounds of brine that it makes, or of green meat that a rub is for; in the unit of the shop. */
  readonly makes: Weight;
  /** The green weight that it is for; null where it serves several. */
  readonly weighingId: WeighingId | null;
  /** Bacon with its skin on takes up no cure through it, and may have less. */
  readonly skinOn: boolean;
  readonly lot: string;
  readonly at: Instant;
  readonly actorId: string;
};

export type CureMixDeed =
  | IngredientDeed
  | { readonly kind: 'mixed' }
  | { readonly kind: 'held' | 'released'; readonly reason: string };

export type CureMixEvent = CureMixDeed & {
  readonly id: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** A brine or a rub with everything that was done to it, in the order in which it was. */
export type CureMixFile = { readonly mix: CureMix; readonly events: readonly CureMixEvent[] };

export type CureMixStanding = {
  readonly ingredients: readonly DueIngredient[];
  /** Ingoing nitrite by what is weighed so far, where a piece takes up what the recipe says. */
  readonly ppm: number;
  readonly ppmLimit: number;
  readonly isMixed: boolean;
  /** Why it is held; empty where it is not. */
  readonly held: string;
};

export type CureMixGround = {
  readonly unit: WeighingUnit;
  readonly pantry: Pantry;
  readonly nitrite: NitriteRules;
};

/** Where a brine or a rub stands after its events. */
export function mixStanding(
  mix: Pick<CureMix, 'recipe' | 'makes' | 'skinOn'>,
  events: readonly (CureMixDeed & { readonly actorId: string })[],
  ground: CureMixGround,
): CureMixStanding {
  const ingredients = duesOfMix(mix, ground).map((due) => weighedOf(due, events));
  const hold = events.filter(({ kind }) => kind === 'held' || kind === 'released').at(-1);
  return {
    ingredients,
    ppm: ingredients.reduce((sum, { weighed, ppmEach }) => sum + (weighed ?? 0) * ppmEach, 0),
    ppmLimit: limitOf(ground.nitrite, mix.recipe.of, mix.skinOn),
    isMixed: events.some(({ kind }) => kind === 'mixed'),
    held: hold?.kind === 'held' ? hold.reason : '',
  };
}

/** What is due of each ingredient, the heaviest first. */
export function duesOfMix(
  { recipe, makes, skinOn }: Pick<CureMix, 'recipe' | 'makes' | 'skinOn'>,
  { unit, pantry, nitrite }: CureMixGround,
): Due[] {
  const grams = gramsOf(makes, unit);
  const limit = limitOf(nitrite, recipe.of, skinOn);
  // A figure just under the half is rounded down to the limit, and so is not over it.
  const highest = nitrite.strict ? limit : limit + 0.4999;
  return [...recipe.parts]
    .sort((a, b) => b.lb - a.lb)
    .map(({ ingredient, lb }) => {
      const share = nitriteShareOf(pantry, ingredient);
      const ppmEach = (0.1 * share * 1e6 * reaching(recipe)) / grams;
      const most = share > 0 ? Math.floor(highest / ppmEach) : null;
      return {
        name: ingredient,
        ...dueWithin(Math.round((10 * grams * lb) / 100), most),
        cures: share > 0,
        most,
        ppmEach,
      };
    });
}

/** What of a pound in a hundred of the mix is in a hundred of the meat. */
function reaching(recipe: CureRecipe): number {
  if (isToMeat(recipe)) return 1;
  const { level, brinePerMeat = 0, takesPct } = recipe;
  return level ? brinePerMeat / (1 + brinePerMeat) : takesPct / 100;
}

/** Why a deed cannot be done to a brine or a rub; empty where it can. */
export function whyNotMix(
  { ingredients, isMixed, held }: CureMixStanding,
  deed: CureMixDeed,
  actorId: string,
): string {
  if (deed.kind === 'held') return '';
  if (deed.kind === 'released') return held === '' ? 'It is not held.' : '';
  if (held !== '') return `It is held: ${held}. The owner releases it.`;
  if (isMixed) return 'It is mixed: nothing goes in or out any more.';
  return 'ingredient' in deed
    ? whyNotIngredient(ingredients, deed, actorId)
    : (missingIngredients(ingredients)[0] ?? '');
}

/** A recipe with what was really weighed in place of what is written: nitrite is reckoned by it from then on. */
export function recipeAsMixed(
  recipe: CureRecipe,
  { ingredients }: Pick<CureMixStanding, 'ingredients'>,
): CureRecipe {
  const weighed = ingredients.reduce((sum, each) => sum + (each.weighed ?? 0), 0);
  const lbOf = new Map(recipe.parts.map(({ ingredient, lb }) => [ingredient, lb]));
  const parts = ingredients.map(({ name, due, weighed: own }) => ({
    ingredient: name,
    // A brine is a hundred of what is in it; a rub stays a hundred of its meat.
    lb: isToMeat(recipe)
      ? (lbOf.get(name)! * (own ?? 0)) / Math.max(1, due)
      : (100 * (own ?? 0)) / Math.max(1, weighed),
  }));
  return { ...recipe, parts };
}
