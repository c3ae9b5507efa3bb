import { ingoingPpm } from '../curing/nitrite';
import { limitOf, type NitriteRules } from '../curing/limits';
import type { ShareId } from '../order/animal';
import type { Origin } from '../order/work';
import {
  convertUnits,
  inUnits,
  sumWeights,
  weight,
  type Weight,
  type WeighingUnit,
} from '../quantity/weight';
import type { Pantry } from '../species/recipe';
import type { Recipe } from '../species/recipeTypes';
import type { Instant } from '../time/shopTime';

/** Exact by definition of the international pound. */
const GRAMS_PER_LB = 453.59237;

/** An ingredient is weighed to a fiftieth of what is due, or to half a gram where that is more; settings. */
const [TOLERANCE_SHARE, TOLERANCE_TENTHS] = [0.02, 5];

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
      readonly scaleId: string;
      readonly loadId: string;
      readonly origin: Origin;
    }
  | {
      readonly kind: 'ingredient';
      readonly ingredient: string;
      /** Tenths of a gram. */
      readonly tenths: number;
      /** The lot it was received as; empty where nobody said. */
      readonly lot: string;
      readonly scaleId: string;
      readonly loadId: string;
      readonly origin: Origin;
      /** Why it is meant to be outside its tolerance; empty where it is not. */
      readonly otherwise: string;
      /** Why it is typed; empty where a scale said it. */
      readonly remark: string;
    }
  /** Taken out of the bowl again. */
  | { readonly kind: 'again'; readonly ingredient: string }
  /** Somebody else has seen the weight of what brings nitrite. */
  | { readonly kind: 'second'; readonly ingredient: string }
  /** Everything is in and mixed; from now on it is packed. */
  | { readonly kind: 'mixed'; readonly added: Weight }
  /** The head was opened, and what was in it pushed out to the same owner. */
  | { readonly kind: 'head' }
  | { readonly kind: 'held'; readonly reason: string }
  | { readonly kind: 'released'; readonly reason: string }
  | { readonly kind: 'closed'; readonly film: Weight };

export type BatchEvent = BatchDeed & {
  readonly id: string;
  readonly batchId: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** A batch with everything that was done to it, in the order in which it was. */
export type BatchFile = { readonly batch: GrindBatch; readonly events: readonly BatchEvent[] };

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

/** An ingredient of a batch: what is due, and what was weighed. Tenths of a gram. */
export type DueIngredient = {
  readonly name: string;
  readonly due: number;
  readonly low: number;
  readonly high: number;
  /** It brings nitrite: a second person looks, and above `most` it goes nowhere. */
  readonly cures: boolean;
  /** By the limit of its class; null where it brings no nitrite. */
  readonly most: number | null;
  /** Ingoing nitrite that a tenth of a gram of it brings into this meat, ppm; 0 where it brings none. */
  readonly ppmEach: number;
  readonly weighed: number | null;
  readonly lot: string;
  readonly otherwise: string;
  /** The how-manieth deed of the batch its weighing was; -1 where nothing is weighed. */
  readonly turn: number;
  /** Who weighed it, and who looked besides; empty where nobody has. */
  readonly by: string;
  readonly second: string;
};

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
  const mixed = events.find((event) => event.kind === 'mixed');
  const added = mixed?.kind === 'mixed' ? mixed.added : weightOfTenths(tenths, ground.unit);
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
    isMixed: mixed !== undefined,
    headOpened: events.some(({ kind }) => kind === 'head'),
    isClosed: events.some(({ kind }) => kind === 'closed'),
    held: hold?.kind === 'held' ? hold.reason : '',
  };
}

type Due = Pick<DueIngredient, 'name' | 'due' | 'low' | 'high' | 'cures' | 'most' | 'ppmEach'>;

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
      const due = Math.round((10 * grams * lb) / own.lb);
      const beside = Math.max(TOLERANCE_TENTHS, Math.round(due * TOLERANCE_SHARE));
      const share = nitriteShareOf(pantry, ingredient);
      const cures = share > 0;
      const most = cures ? mostTenths({ block, share, nitrite }) : null;
      const low = Math.max(0, due - beside);
      return {
        name: ingredient,
        due,
        low,
        high: most === null ? due + beside : Math.min(due + beside, most),
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

function nitriteShareOf(pantry: Pantry, ingredient: string): number {
  return pantry.get(ingredient)?.nitriteShare ?? 0;
}

function weighedOf(due: Due, events: readonly BatchEvent[]): DueIngredient {
  let stands: DueIngredient = { ...due, weighed: null, lot: '', otherwise: '', turn: -1, by: '', second: '' };
  for (const [turn, event] of events.entries()) {
    if (!('ingredient' in event) || event.ingredient !== due.name) continue;
    if (event.kind === 'ingredient') {
      const { tenths, lot, otherwise, actorId } = event;
      stands = { ...due, weighed: tenths, lot, otherwise, turn, by: actorId, second: '' };
    } else if (event.kind === 'again') stands = { ...stands, weighed: null, turn: -1, by: '', second: '' };
    else if (stands.weighed !== null) stands = { ...stands, second: event.actorId };
  }
  return stands;
}

/** @returns grams of a weight of the shop */
function gramsOf(net: Weight, unit: WeighingUnit): number {
  return convertUnits(inUnits(net), unit, 'lb') * GRAMS_PER_LB;
}

/** Tenths of a gram as a weight of the shop, rounded once. */
export function weightOfTenths(tenths: number, unit: WeighingUnit): Weight {
  return weight(convertUnits(tenths / 10 / GRAMS_PER_LB, 'lb', unit));
}

/** `27.4` */
export function gramsShown(tenths: number): string {
  return (tenths / 10).toFixed(1);
}

/** `27.4 g` */
export function gramsWords(tenths: number): string {
  return `${gramsShown(tenths)} g`;
}
