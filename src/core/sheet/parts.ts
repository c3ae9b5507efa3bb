import type { Cells } from '../atlas/cells';
import type { DecisionWish, FormWish } from './wishes';

/** Shares below this are rounding of floating-point sums, far under a thousandth of the heaviest side. */
const NEGLIGIBLE_SHARE = 1e-9;

/** A form that asks for more than its zone holds. */
export type Overdrawn = { readonly decision: string; readonly form: number; readonly wantedShare: number };

/**
 * How much of its zone a form asks for: a share of it, more than 1 when there is less than asked; undefined for
 * whatever is left, or as it falls.
 */
export type TakeShare = (wish: DecisionWish, form: FormWish) => number | undefined;

/** The part of each cell that a form has to work with; undefined where it has all of every cell. */
export type Portion = Float64Array | undefined;

export type ZoneParts = {
  readonly portions: readonly Portion[];
  readonly overdrawn: readonly Overdrawn[];
  /** Forms that nothing was asked of on this side: the other side has it all. */
  readonly idle: readonly number[];
};

const UNDIVIDED: ZoneParts = { portions: [undefined], overdrawn: [], idle: [] };

/**
 * Divides a zone among its forms. Forms with a place of their own come first: a stretch of vertebrae from the hind
 * end, or the pieces that an option is by itself. Then each form with an amount takes its share of every cell that is
 * left, bones and tails with it, and the last takes the rest. What a form's option does not use of its part is
 * nobody else's: it goes to the pools.
 */
export function partsOf(cells: Cells, wish: DecisionWish, takes: TakeShare): ZoneParts {
  const { forms } = wish;
  const asked = forms.map((form) => takes(wish, form));
  if (forms.length === 1 && asked[0] === undefined) return UNDIVIDED;
  const zone = zoneOf(cells, wish);
  const left = zone.slice();
  const overdrawn: Overdrawn[] = [];
  const portions = new Array<Portion>(forms.length);
  const last = forms.length - 1;
  const isLastRest = (at: number) => at === last && at > 0 && forms[at]!.form.amount.kind === 'rest';
  let hindmost = 0;
  let free = 1;
  const noted = (form: FormWish, wanted: number): number => {
    if (wanted > free + NEGLIGIBLE_SHARE) {
      overdrawn.push({ decision: wish.decision.id, form: form.index, wantedShare: wanted });
    }
    return Math.min(wanted, free);
  };
  forms.forEach((form, at) => {
    if (isLastRest(at)) return;
    const { option } = form;
    if (isStretch(form) && asked[at] !== undefined) {
      const stretch = stretchOf(cells, form, { share: Math.min(1, asked[at]), from: hindmost });
      if (asked[at] > 1 + NEGLIGIBLE_SHARE) noted(form, asked[at]);
      hindmost = stretch.to;
      portions[at] = stretch.portion.map((part, cell) => Math.min(part, left[cell]!));
      portions[at].forEach((part, cell) => (left[cell]! -= part));
    } else if (asked[at] === undefined || option.ownSharePct !== undefined) {
      const wanted = asked[at];
      if (wanted !== undefined && wanted > 1 + NEGLIGIBLE_SHARE) noted(form, wanted);
      const times = wanted === undefined ? 1 : Math.min(1, wanted) / (option.ownSharePct! / 100);
      portions[at] = fall(form, left, times);
    }
  });
  const base = left.slice();
  const baseShare = massOf(cells, base) / massOf(cells, zone);
  free = baseShare;
  forms.forEach((form, at) => {
    if (portions[at] || isLastRest(at)) return;
    const share = noted(form, asked[at]!);
    free = Math.max(0, free - share);
    const part = baseShare > 0 ? share / baseShare : 0;
    portions[at] = base.map((whole) => whole * part);
    portions[at].forEach((own, cell) => (left[cell] = Math.max(0, left[cell]! - own)));
  });
  if (isLastRest(last)) portions[last] = left;
  return { portions, overdrawn, idle: asked.flatMap((share, at) => (share === 0 ? [at] : [])) };
}

/** 1 for each cell that any form of the zone speaks of. */
function zoneOf(cells: Cells, { forms }: DecisionWish): Float64Array {
  const zone = new Float64Array(cells.count);
  for (const form of forms) {
    for (const { claims } of form.products) {
      for (const { cells: reached } of claims) for (const cell of reached) zone[cell] = 1;
    }
  }
  return zone;
}

function massOf(cells: Cells, parts: Float64Array): number {
  let sum = 0;
  for (let cell = 0; cell < parts.length; cell += 1) sum += parts[cell]! * cells.share[cell]!;
  return sum;
}

/** Whether a form has its place at the hind end of the zone. */
export function isStretch({ option, products }: FormWish): boolean {
  return option.fromHind !== undefined || products[0]?.product.lastRibs !== undefined;
}

/** The vertebrae along which a form is measured, fore to hind: those of its run, or all that it can reach. */
export function vertebraeOf(cells: Cells, { products }: FormWish): number[] {
  const first = products[0];
  if (!first) return [];
  const { pieces } = first.product;
  const isAlong = (cell: number) =>
    !('run' in pieces) || pieces.run.includes(cells.atoms[cells.atomOf[cell]!]!.id);
  const reached = first.claims.flatMap((claim) =>
    claim.cells.filter(isAlong).map((cell) => cells.vertebraOf[cell]!),
  );
  return [...new Set(reached)].filter((vertebra) => vertebra >= 0).sort((a, b) => a - b);
}

/** A form's stretch, counted in vertebrae from the hind end of what it can reach; whole bones where ribs are counted. */
function stretchOf(
  cells: Cells,
  form: FormWish,
  { share, from }: { share: number; from: number },
): { portion: Float64Array; to: number } {
  const vertebrae = vertebraeOf(cells, form).reverse();
  const length = share * vertebrae.length;
  const to = from + (form.products[0]!.product.lastRibs ? Math.round(length) : length);
  const own = new Set(form.products.flatMap((product) => product.claims.flatMap((claim) => claim.cells)));
  const place = new Map(vertebrae.map((vertebra, at) => [vertebra, at]));
  const portion = Float64Array.from({ length: cells.count }, (_, cell) => {
    const vertebra = cells.vertebraOf[cell]!;
    if (vertebra < 0) return own.has(cell) && vertebrae.length > 0 ? (to - from) / vertebrae.length : 0;
    const at = place.get(vertebra);
    return at === undefined ? 0 : Math.max(0, Math.min(to, at + 1) - Math.max(from, at));
  });
  return { portion, to };
}

/**
 * A form without an amount of its own takes the pieces that it is made of, and leaves the others where they are.
 *
 * @param times - how much of its own size it is asked for, finite
 */
function fall({ products }: FormWish, left: Float64Array, times: number): Float64Array {
  const portion = new Float64Array(left.length);
  const taken = new Float64Array(left.length);
  for (const { cells, share } of products.flatMap((product) => product.claims)) {
    for (const cell of cells) {
      portion[cell] = Math.min(left[cell]! * times, left[cell]! / share);
      taken[cell] = Math.min(left[cell]!, taken[cell]! + portion[cell] * share);
    }
  }
  taken.forEach((part, cell) => (left[cell]! -= part));
  return portion;
}
