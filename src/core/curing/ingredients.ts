import type { Origin } from '../order/work';
import { convertUnits, inUnits, weight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Pantry } from '../species/recipe';

/** Exact by definition of the international pound. */
const GRAMS_PER_LB = 453.59237;

/** An ingredient is weighed to a fiftieth of what is due, or to half a gram where that is more; settings. */
const [TOLERANCE_SHARE, TOLERANCE_TENTHS] = [0.02, 5];

/** What a scale for seasoning carries: of more than that several pours are weighed. Tenths of a gram. */
export const ONE_POUR = 60_000;

/** What is done to an ingredient of a batch or of a cure; the last word on it holds. */
export type IngredientDeed =
  | {
      readonly kind: 'ingredient';
      readonly ingredient: string;
      /** Tenths of a gram. */
      readonly tenths: number;
      /** A pour of several: more of it is to come. */
      readonly part?: true;
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
  /** Taken out of the bowl again, with all its pours. */
  | { readonly kind: 'again'; readonly ingredient: string }
  /** Somebody else has seen the weight of what brings nitrite. */
  | { readonly kind: 'second'; readonly ingredient: string };

type DeedBy = (IngredientDeed | { readonly kind: string }) & { readonly actorId: string };

/** What is due of an ingredient. Tenths of a gram. */
export type Due = {
  readonly name: string;
  readonly due: number;
  readonly low: number;
  readonly high: number;
  /** It brings nitrite: a second person looks, and above `most` it goes nowhere. */
  readonly cures: boolean;
  /** By the limit of its class; null where it brings no nitrite. */
  readonly most: number | null;
  /** Ingoing nitrite that a tenth of a gram of it brings into the meat, ppm; 0 where it brings none. */
  readonly ppmEach: number;
};

/** An ingredient: what is due, and what was weighed. Tenths of a gram. */
export type DueIngredient = Due & {
  /** Null until all of it is weighed. */
  readonly weighed: number | null;
  /** What lies in the bowl of it while more is to come; 0 otherwise. */
  readonly poured: number;
  readonly lot: string;
  readonly otherwise: string;
  /** The how-manieth deed its weighing was; -1 where nothing is weighed. */
  readonly turn: number;
  /** Who weighed it, and who looked besides; empty where nobody has. */
  readonly by: string;
  readonly second: string;
};

/** How far from what is due an ingredient may be, tenths of a gram. */
export function dueWithin(due: number, most: number | null): Pick<Due, 'due' | 'low' | 'high'> {
  const beside = Math.max(TOLERANCE_TENTHS, Math.round(due * TOLERANCE_SHARE));
  const high = most === null ? due + beside : Math.min(due + beside, most);
  return { due, low: Math.max(0, due - beside), high };
}

/** Sodium nitrite in an ingredient, as a share of it. */
export function nitriteShareOf(pantry: Pantry, ingredient: string): number {
  return pantry.get(ingredient)?.nitriteShare ?? 0;
}

/** What was weighed of an ingredient after these events, in the order in which they came. */
export function weighedOf(due: Due, events: readonly DeedBy[]): DueIngredient {
  const nothing = { ...due, weighed: null, poured: 0, lot: '', otherwise: '', turn: -1, by: '', second: '' };
  let stands: DueIngredient = nothing;
  for (const [turn, event] of events.entries()) {
    if (!('ingredient' in event) || event.ingredient !== due.name) continue;
    if (event.kind === 'ingredient') {
      const { tenths, part, lot, otherwise, actorId } = event;
      const inBowl = stands.poured + tenths;
      const said = { lot, otherwise, turn, by: actorId, second: '' };
      stands = { ...due, ...said, weighed: part ? null : inBowl, poured: part ? inBowl : 0 };
    } else if (event.kind === 'again') stands = nothing;
    else if (stands.weighed !== null) stands = { ...stands, second: event.actorId };
  }
  return stands;
}

/** Whether so much of an ingredient is one pour of several: the scale carries no more at once. */
export function isPart({ due, low, poured }: DueIngredient, tenths: number): boolean {
  return due > ONE_POUR && poured + tenths < low;
}

/** An ingredient as it lies on a scale: one pour of several where the scale carries no more, else all of it. */
export function weighedDeed(
  ingredients: readonly DueIngredient[],
  said: { readonly ingredient: string; readonly lot: string; readonly otherwise: string },
  { net, ...on }: OnSeasoningScale,
): Extract<IngredientDeed, { kind: 'ingredient' }> {
  const { ingredient, lot, otherwise } = said;
  const tenths = Math.round(net / 100);
  const due = ingredients.find(({ name }) => name === ingredient);
  const isPour = due !== undefined && otherwise === '' && isPart(due, tenths);
  return { kind: 'ingredient', ingredient, tenths, ...(isPour ? { part: true } : {}), lot, otherwise, ...on };
}

/** What a scale said of an ingredient: thousandths of a gram. */
type OnSeasoningScale = {
  readonly net: number;
  readonly scaleId: string;
  readonly loadId: string;
  readonly origin: Origin;
  readonly remark: string;
};

/**
 * Why a deed cannot be done to an ingredient; empty where it can. Above the limit of its class nitrite goes nowhere,
 * whoever says yes.
 *
 * @param actorId - who wants to do it
 */
export function whyNotIngredient(
  ingredients: readonly DueIngredient[],
  deed: IngredientDeed,
  actorId: string,
): string {
  const due = ingredients.find(({ name }) => name === deed.ingredient);
  if (!due) return `${deed.ingredient} is not in this recipe.`;
  if (deed.kind === 'again')
    return due.weighed === null && due.poured === 0 ? `No ${due.name} is weighed.` : '';
  if (deed.kind === 'second') {
    if (due.weighed === null) return `No ${due.name} is weighed yet.`;
    return due.by === actorId ? 'Whoever weighed it cannot look for the second time. Ask somebody else.' : '';
  }
  return whyNotWeighed(due, deed);
}

function whyNotWeighed(due: DueIngredient, deed: Extract<IngredientDeed, { kind: 'ingredient' }>): string {
  const inBowl = due.poured + deed.tenths;
  if (due.most !== null && inBowl > due.most) {
    return `Over the limit of its class: at most ${gramsWords(due.most)} for this meat. Take out ${gramsWords(inBowl - due.most)}.`;
  }
  if (due.cures && deed.origin === 'typed') return `${due.name} is weighed on the scale, never typed.`;
  if (deed.part && isPart(due, deed.tenths)) return '';
  if (inBowl >= due.low && inBowl <= due.high) return '';
  if (!due.cures && deed.otherwise !== '') return '';
  const band = `${gramsWords(due.low)} to ${gramsWords(due.high)} are due.`;
  return inBowl > due.high
    ? `Take out ${gramsWords(inBowl - due.high)} or more: ${band}`
    : `Put in ${gramsWords(due.low - inBowl)} or more: ${band}`;
}

/** What is still to weigh and to look at, in sentences. */
export function missingIngredients(ingredients: readonly DueIngredient[]): string[] {
  return ingredients.flatMap(({ name, weighed, cures, second }) => {
    if (weighed === null) return [`${name} is not weighed yet.`];
    return cures && second === '' ? [`Somebody else must look at the ${name}.`] : [];
  });
}

/** @returns grams of a weight of the shop */
export function gramsOf(net: Weight, unit: WeighingUnit): number {
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
