import type { Cents } from '../quantity/money';
import type { WeighingUnit } from '../quantity/weight';

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
  'extra-sheet',
  'flat',
] as const;
export type Basis = (typeof BASES)[number];

export type PriceRule = {
  readonly id: string;
  readonly label: string;
  readonly basis: Basis;
  /** Whole cents for one head, pound, kilogram, package, piece or sheet. */
  readonly rateCents: Cents;
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
  readonly rules: readonly PriceRule[];
};

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
