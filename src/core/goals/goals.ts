import type { Cents } from '../quantity/money';

/** What can be had as much of as possible: a destination, everything that comes home, or what cooks within the hour. */
export const AMOUNTS = ['grind', 'steaks', 'roasts', 'cured', 'bones', 'home', 'quick'] as const;
export type AmountOf = (typeof AMOUNTS)[number];

/** What somebody wants of a sheet. */
export type Wish =
  | { readonly kind: 'most'; readonly of: AmountOf }
  | { readonly kind: 'least'; readonly of: 'bill' | 'freezer' }
  /** A row whose meat comes home as a cut: neither ground nor lost. */
  | { readonly kind: 'keep'; readonly decision: string }
  | { readonly kind: 'noBones' }
  /** Fat of the grind, percent, counted as its species counts it. */
  | { readonly kind: 'fatAtMost'; readonly pct: number }
  | { readonly kind: 'freezerAtMost'; readonly cuFt: number }
  | { readonly kind: 'billAtMost'; readonly cents: Cents }
  /** Packs of roasts. */
  | { readonly kind: 'roastsAtLeast'; readonly count: number };

/**
 * A wish with how much it counts: a must holds in every proposal; a rather is given up where others gain more.
 */
export type Goal = {
  readonly wish: Wish;
  readonly must: boolean;
  /** Against the other wishes that are rathers; 1 for all that nobody weighs. */
  readonly weight: number;
};

const AMOUNT_WORDS: Readonly<Record<AmountOf, string>> = {
  grind: 'much ground meat and sausage',
  steaks: 'many steaks and chops',
  roasts: 'many roasts',
  cured: 'much cured and smoked',
  bones: 'many ribs and bones',
  home: 'much weight home',
  quick: 'much that cooks quickly',
};

/** A wish in words: `as much sausage as possible`. */
export function wishWords(
  wish: Wish,
  said: { readonly titleOf: (decision: string) => string; readonly money: (cents: Cents) => string },
): string {
  switch (wish.kind) {
    case 'most':
      return `as ${AMOUNT_WORDS[wish.of]} as possible`;
    case 'least':
      return wish.of === 'bill' ? 'as cheap as possible' : 'as little freezer as possible';
    case 'keep':
      return `keep the ${said.titleOf(wish.decision).toLowerCase()}`;
    case 'noBones':
      return 'no bones in the boxes';
    case 'fatAtMost':
      return `grind of ${wish.pct} % fat at most`;
    case 'freezerAtMost':
      return `fits ${wish.cuFt} cubic feet`;
    case 'billAtMost':
      return `under ${said.money(wish.cents)}`;
    case 'roastsAtLeast':
      return `at least ${wish.count} roasts`;
  }
}
