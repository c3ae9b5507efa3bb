import { sumWeights, type Weight } from '../quantity/weight';
import { PACKED, type YieldRow } from './yieldRow';

/** What a rate stands on; it is named with every figure. */
export type Basis = 'live' | 'hot' | 'cold';

type Rate = {
  readonly label: string;
  /** In words, part over whole. */
  readonly formula: string;
  readonly basis: Basis;
  /** Null where what it needs was not weighed. */
  readonly part: (row: YieldRow) => Weight | null;
};

/** Every pack of a share. */
export function packedOf({ packed }: Pick<YieldRow, 'packed'>): Weight {
  return sumWeights(PACKED.map((destination) => packed[destination]));
}

const air = ({ hot, cold }: YieldRow) => (hot === null ? null : ((hot - cold) as Weight));

/**
 * Every rate by its name, once: its formula, and the weight it stands on. Finished weights are packed, what went green
 * into a cure is never counted besides; the difference is the rate `cure`. Source: the trade's own definitions, docs/figures.md.
 */
export const RATES = {
  'packed-live': {
    label: 'packed on live',
    formula: 'all packs over the weight alive',
    basis: 'live',
    part: packedOf,
  },
  'packed-hot': {
    label: 'packed on hot',
    formula: 'all packs over the hot weight',
    basis: 'hot',
    part: packedOf,
  },
  'packed-cold': {
    label: 'packed on cold',
    formula: 'all packs over the cold weight',
    basis: 'cold',
    part: packedOf,
  },
  dressing: {
    label: 'hot on live',
    formula: 'hot weight over the weight alive',
    basis: 'live',
    part: ({ hot }) => hot,
  },
  shrink: {
    label: 'air, on the rail',
    formula: 'hot less cold, over the hot weight',
    basis: 'hot',
    part: air,
  },
  bone: {
    label: 'bone',
    formula: 'the bone barrel over the hot weight',
    basis: 'hot',
    part: (row) => row.went.bone,
  },
  fat: { label: 'fat', formula: 'fat out over the hot weight', basis: 'hot', part: (row) => row.went.fat },
  skin: { label: 'skin', formula: 'skin over the hot weight', basis: 'hot', part: (row) => row.went.skin },
  inedible: {
    label: 'glands, condemned',
    formula: 'glands and condemned over the hot weight',
    basis: 'hot',
    part: (row) => row.went.inedible,
  },
  cure: {
    label: 'cure and smoke',
    formula: 'green less finished, over the hot weight; below zero where a pump added more than smoke took',
    basis: 'hot',
    part: (row) => row.went.cure,
  },
  added: {
    label: 'seasoning, water added',
    formula: 'what was mixed into sausage, below zero, over the hot weight',
    basis: 'hot',
    part: (row) => row.went.added,
  },
  grinder: {
    label: 'left in the grinder',
    formula: 'what tub and grinder kept over the hot weight',
    basis: 'hot',
    part: (row) => row.went.grinder,
  },
  pooled: {
    label: 'in others’ packs',
    formula: 'what whole packs of a pooled batch could not part evenly, over the hot weight',
    basis: 'hot',
    part: (row) => row.went.pooled,
  },
  unaccounted: {
    label: 'unaccounted',
    formula: 'what no account explains: saw dust, drip, drying while cutting, scale; over the hot weight',
    basis: 'hot',
    part: (row) => row.went.unaccounted,
  },
} as const satisfies Readonly<Record<string, Rate>>;

export type RateId = keyof typeof RATES;

/** A rate of one share, percent; null where a weight it needs is missing or nothing. */
export function rateOf(row: YieldRow, id: RateId): number | null {
  const rate: Rate = RATES[id];
  return share(rate.part(row), row[rate.basis]);
}

/** What of the hot weight went to a destination, percent; null without a hot weight. */
export function destinationOf(row: YieldRow, destination: (typeof PACKED)[number]): number | null {
  return share(row.packed[destination], row.hot);
}

/** The figures that the picture of an animal has, all of the hot weight: where packs go, all packs, what reached none. */
export const PARTS = [
  ...PACKED,
  'packed-hot',
  'bone',
  'fat',
  'skin',
  'inedible',
  'shrink',
  'cure',
  'added',
  'grinder',
  'pooled',
  'unaccounted',
] as const;
export type Part = (typeof PARTS)[number];

/** A figure of the picture for one share, percent of its hot weight; null where that was not weighed. */
export function partOf(row: YieldRow, part: Part): number | null {
  const packed = PACKED.find((each) => each === part);
  return packed ? destinationOf(row, packed) : rateOf(row, part as RateId);
}

/** Of many shares: all parts over all wholes. Shares that lack a weight are left out and counted. */
export type Pooled = { readonly pct: number | null; readonly of: number; readonly leftOut: number };

/**
 * A rate of an animal, a day or a month: the parts of its shares together over their wholes together, so that a large
 * side counts as much as it weighs.
 */
export function pooledRate(rows: readonly YieldRow[], id: RateId): Pooled {
  const { part, basis }: Rate = RATES[id];
  let [parts, wholes, of] = [0, 0, 0];
  for (const row of rows) {
    const [own, whole] = [part(row), row[basis]];
    if (own === null || whole === null || whole <= 0) continue;
    parts += own;
    wholes += whole;
    of += 1;
  }
  return { pct: wholes > 0 ? (100 * parts) / wholes : null, of, leftOut: rows.length - of };
}

function share(part: Weight | null, whole: Weight | null): number | null {
  return part === null || whole === null || whole <= 0 ? null : (100 * part) / whole;
}
