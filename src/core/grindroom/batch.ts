import {
  dueWithin,
  gramsOf,
  nitriteShareOf,
  weighedOf,
  weightOfTenths,
  type Due,
  type DueIngredient,
  type IngredientDeed,
} from '../curing/ingredients';
import { limitOf, type NitriteRules } from '../curing/limits';
import { ingoingPpm } from '../curing/nitrite';
import type { ShareId } from '../order/animal';
import type { Origin } from '../order/work';
import { sumWeights, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Pantry } from '../species/recipe';
import type { Recipe } from '../species/recipeTypes';
import type { Instant } from '../time/shopTime';
import type { Pool } from './pool';
import type { Grade } from './tubs';

/** A batch: one line of a share's plan, ground and mixed from the share's own tub. */
export type GrindBatch = {
  readonly id: string;
  readonly shareId: ShareId;
  readonly lineKey: string;
  /** Of the species' recipes, with the words of its label as it was when the batch began. */
  readonly recipe: Recipe;
  readonly lot: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** What is done to a batch; the last word on an ingredient holds. */
export type BatchDeed =
  /** Out of the tub; below zero where it was put back. */
  | {
      readonly kind: 'meat';
      readonly net: Weight;
      /** Of which of the owner's tubs; none before tubs were parted. */
      readonly grade?: Grade;
      readonly scaleId: string;
      readonly loadId: string;
      readonly origin: Origin;
    }
  | IngredientDeed
  /** Everything is in and mixed; from now on it is packed. */
  | { readonly kind: 'mixed'; readonly added: Weight }
  /** The head was opened, and what was in it pushed out to the same owner. */
  | { readonly kind: 'head' }
  | { readonly kind: 'held'; readonly reason: string }
  | { readonly kind: 'released'; readonly reason: string }
  | {
      readonly kind: 'closed';
      readonly film: Weight;
      /** Of a pool: meat of this owner in others' packs; below zero where others' is in this owner's. */
      readonly given?: Weight;
    };

export type BatchEvent = BatchDeed & {
  readonly id: string;
  readonly batchId: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** A batch with everything that was done to it, in the order in which it was. */
export type BatchFile = {
  readonly batch: GrindBatch;
  /** Of a pool its own meat, mix and end, and what was done to the pool as a whole. */
  readonly events: readonly BatchEvent[];
  /** Where several owners' meat is in it. */
  readonly pool?: Pool;
};

/** What is of one owner's part of a pool; everything else is done to the pool as a whole. */
export const OF_ONE_OWNER: readonly BatchDeed['kind'][] = ['meat', 'mixed', 'closed'];

/** What was done to a pool, from the files of all its owners. */
export function eventsOfPool([leads, ...others]: readonly BatchFile[]): BatchEvent[] {
  const own = others.flatMap(({ events }) => events.filter(({ kind }) => OF_ONE_OWNER.includes(kind)));
  return [...(leads?.events ?? []), ...own];
}

/** The owner's own meat in a batch. */
export function meatOf(events: readonly BatchEvent[]): Weight {
  return sumWeights(events.flatMap((event) => (event.kind === 'meat' ? [event.net] : [])));
}

/** How many times as heavy as its meat a batch has become; 1 before it is mixed. */
export function growthOf(events: readonly BatchEvent[]): number {
  const meat = meatOf(events);
  const mixed = events.find((event) => event.kind === 'mixed');
  return mixed?.kind === 'mixed' && meat > 0 ? (meat + mixed.added) / meat : 1;
}

/** Where a batch stands. */
export type BatchStanding = {
  readonly meat: Weight;
  readonly ingredients: readonly DueIngredient[];
  /** Ingoing nitrite of what is weighed so far; null where the recipe has none. */
  readonly ppm: number | null;
  readonly ppmLimit: number;
  /** What was weighed besides the meat. */
  readonly added: Weight;
  readonly mix: Weight;
  readonly packed: Weight;
  readonly isMixed: boolean;
  readonly headOpened: boolean;
  readonly isClosed: boolean;
  /** Why it is held; empty where it is not. */
  readonly held: string;
};

/** What a batch stands on besides its own events. */
export type BatchGround = {
  readonly unit: WeighingUnit;
  readonly pantry: Pantry;
  readonly nitrite: NitriteRules;
  /** Net of what was packed from it, or laid into smoke. */
  readonly packed: Weight;
};

/** Where a batch stands after its events, in the order in which they came. */
export function standingOf(
  { recipe }: Pick<GrindBatch, 'recipe'>,
  events: readonly BatchEvent[],
  ground: BatchGround,
): BatchStanding {
  const meat = meatOf(events);
  const ingredients = duesOf(recipe, meat, ground).map((due) => weighedOf(due, events));
  const tenths = ingredients.reduce((sum, { weighed }) => sum + (weighed ?? 0), 0);
  const mixed = events.flatMap((event) => (event.kind === 'mixed' ? [event.added] : []));
  const added = mixed.length > 0 ? sumWeights(mixed) : weightOfTenths(tenths, ground.unit);
  const curing = ingredients.filter(({ cures }) => cures);
  const hold = events.filter(({ kind }) => kind === 'held' || kind === 'released').at(-1);
  const block = gramsOf(meat, ground.unit) * blockPerOwn(recipe, ground.pantry);
  const nitrite = curing.reduce(
    (sum, { name, weighed }) => sum + ((weighed ?? 0) / 10) * nitriteShareOf(ground.pantry, name),
    0,
  );
  return {
    meat,
    ingredients,
    ppm: curing.length === 0 || block === 0 ? null : ingoingPpm({ cure: nitrite, nitriteShare: 1 }, block),
    ppmLimit: limitOf(ground.nitrite, 'ground'),
    added,
    mix: (meat + added) as Weight,
    packed: ground.packed,
    isMixed: mixed.length > 0,
    headOpened: events.some(({ kind }) => kind === 'head'),
    isClosed: events.some(({ kind }) => kind === 'closed'),
    held: hold?.kind === 'held' ? hold.reason : '',
  };
}

/** What is due of each ingredient for so much meat of the owner, the heaviest first. */
export function duesOf(
  recipe: Pick<Recipe, 'parts'>,
  meat: Weight,
  { unit, pantry, nitrite }: Pick<BatchGround, 'unit' | 'pantry' | 'nitrite'>,
): Due[] {
  const own = ownMeat(recipe, pantry);
  const grams = gramsOf(meat, unit);
  const block = grams * blockPerOwn(recipe, pantry);
  return recipe.parts
    .filter(({ ingredient }) => ingredient !== own.ingredient)
    .sort((a, b) => b.lb - a.lb)
    .map(({ ingredient, lb }) => {
      const share = nitriteShareOf(pantry, ingredient);
      const cures = share > 0;
      const most = cures ? mostTenths({ block, share, nitrite }) : null;
      return {
        name: ingredient,
        ...dueWithin(Math.round((10 * grams * lb) / own.lb), most),
        cures,
        most,
        ppmEach: cures && block > 0 ? ingoingPpm({ cure: 0.1, nitriteShare: share }, block) : 0,
      };
    });
}

/** The most of a curing salt that the limit of ground meat lets into a block of so many grams; tenths of a gram. */
function mostTenths({
  block,
  share,
  nitrite,
}: {
  block: number;
  share: number;
  nitrite: NitriteRules;
}): number {
  const limit = limitOf(nitrite, 'ground');
  // A figure just under the half is rounded down to the limit, and so is not over it.
  const ppm = nitrite.strict ? limit : limit + 0.4999;
  return Math.floor((10 * ppm * block) / (1e6 * share));
}

function ownMeat({ parts }: Pick<Recipe, 'parts'>, pantry: Pantry) {
  const meats = parts.filter(({ ingredient }) => pantry.get(ingredient)?.meat === true);
  return [...meats].sort((a, b) => b.lb - a.lb)[0] ?? parts[0]!;
}

/** All meat of a recipe to a pound of the owner's own. */
function blockPerOwn(recipe: Pick<Recipe, 'parts'>, pantry: Pantry): number {
  const meats = recipe.parts.filter(({ ingredient }) => pantry.get(ingredient)?.meat === true);
  return meats.reduce((sum, { lb }) => sum + lb, 0) / ownMeat(recipe, pantry).lb;
}
