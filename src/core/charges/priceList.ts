import { formatMoney, type Cents } from '../quantity/money';
import type { WeighingUnit } from '../quantity/weight';
import { daysAfter } from '../time/shopTime';

/** What a charge multiplies. Every rule names one. */
export const BASES = [
  'head',
  'hot',
  'cold',
  'packaged',
  'green',
  'finished',
  'package',
  'piece',
  'rack',
  'extra-sheet',
  'flat',
  'percent',
] as const;
export type Basis = (typeof BASES)[number];

/** What charges multiply, in the order in which weight is lost; the groups of a price list as people read it. */
export const BASIS_GROUPS = [
  'the animal',
  'hot',
  'cold',
  'green, finished',
  'packed',
  'packs',
  'pieces',
  'the order',
] as const;
export type BasisGroup = (typeof BASIS_GROUPS)[number];

/** How a basis is said: the group it stands in, and what a rate is per. */
export const BASIS_WORDS: Readonly<Record<Basis, { readonly group: BasisGroup; readonly per: string }>> = {
  head: { group: 'the animal', per: 'a head' },
  'extra-sheet': { group: 'the animal', per: 'a sheet' },
  hot: { group: 'hot', per: 'by hot weight' },
  cold: { group: 'cold', per: 'by cold weight' },
  green: { group: 'green, finished', per: 'by green weight' },
  finished: { group: 'green, finished', per: 'by finished weight' },
  packaged: { group: 'packed', per: 'by packed weight' },
  package: { group: 'packs', per: 'a pack' },
  piece: { group: 'pieces', per: 'a piece' },
  rack: { group: 'pieces', per: 'a rack' },
  flat: { group: 'the order', per: 'an order' },
  percent: { group: 'the order', per: '% of the order' },
};

/** Who pays a charge: whoever eats the share, or the farm that sold it. */
export const PAYERS = ['eater', 'farm'] as const;
export type Payer = (typeof PAYERS)[number];

/** Another rate for heavier animals. */
export type Tier = {
  /** Hot weight of the whole animal beyond which it holds, in the list's unit. */
  readonly above: number;
  readonly rateCents: Cents;
};

export type PriceRule = {
  readonly id: string;
  readonly label: string;
  readonly basis: Basis;
  /** Whole cents for one head, pound, kilogram, package, piece, rack or sheet; of `percent`, hundredths of a percent. */
  readonly rateCents: Cents;
  /** Rates of heavier animals in place of `rateCents`, lightest first. */
  readonly tiers?: readonly Tier[];
  /** Ids of the species that pay it; every species when absent. */
  readonly species?: readonly string[];
  /** The eater when absent. */
  readonly payer?: Payer;
  /** Raised by cuts that carry this key; absent when every order pays it. */
  readonly key?: string;
  readonly taxable?: boolean;
};

/** Prices that hold from a day on. An order keeps the list it was booked under. */
export type PriceList = {
  readonly id: string;
  readonly name: string;
  /** `YYYY-MM-DD` */
  readonly effectiveFrom: string;
  readonly unit: WeighingUnit;
  readonly currency: string;
  readonly sign: string;
  readonly minimumCents: Cents;
  /** Hundredths of a percent on taxable lines. */
  readonly taxBp: number;
  /** What a total is rounded to; the cent when absent. */
  readonly roundCents?: Cents;
  readonly rules: readonly PriceRule[];
};

/** The rate of a charge with what it is per: `$0.98 by packed weight`, `3 % of the order`. */
export function rateWords(
  { basis, rateCents }: Pick<PriceRule, 'basis' | 'rateCents'>,
  sign: string,
): string {
  const { per } = BASIS_WORDS[basis];
  return basis === 'percent' ? `${rateCents / 100} ${per}` : `${formatMoney(rateCents, sign)} ${per}`;
}

/**
 * The list in force on a day: the latest that has begun.
 *
 * @param day - `YYYY-MM-DD`
 */
export function listInForce(lists: readonly PriceList[], day: string): PriceList | undefined {
  return [...lists]
    .filter((list) => list.effectiveFrom <= day)
    .sort((a, b) => (a.effectiveFrom < b.effectiveFrom ? 1 : -1))[0];
}

/** The first day on or after a day on which no list begins yet. */
function freeDay(lists: readonly PriceList[], day: string): string {
  const taken = new Set(lists.map((list) => list.effectiveFrom));
  let free = day;
  while (taken.has(free)) free = daysAfter(free, 1);
  return free;
}

/**
 * Why a list cannot come in force on a day; undefined when it can. What was billed stays as it was, so a list begins
 * today or later, and no two begin on one day.
 */
export function beginProblem(lists: readonly PriceList[], day: string, today: string): string | undefined {
  if (day < today) return `${day} is past. The first day it can hold from is ${freeDay(lists, today)}.`;
  const other = lists.find((list) => list.effectiveFrom === day);
  if (!other) return undefined;
  return `${other.name} begin on ${day}. The next free day is ${freeDay(lists, day)}.`;
}
