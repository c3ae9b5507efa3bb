import type { Brand } from './brand';
import { allocate } from './allocate';
import type { Weight } from './weight';

/** Money in whole cents; negative for a deposit or a credit. */
export type Cents = Brand<number, 'Cents'>;

export const ZERO_CENTS = 0 as Cents;

/**
 * A whole number of cents.
 *
 * @throws RangeError when the amount is not a whole number
 */
export function cents(amount: number): Cents {
  if (!Number.isSafeInteger(amount)) throw new RangeError(`"amount" expected whole cents, got ${amount}`);
  return amount as Cents;
}

export function sumCents(amounts: Iterable<Cents>): Cents {
  let total = 0;
  for (const amount of amounts) total += amount;
  return total as Cents;
}

/** Half a cent goes up (away from zero), as in the trade's invoices. All operands are whole numbers. */
function divideHalfUp(numerator: number, denominator: number): number {
  const sign = Math.sign(numerator);
  return sign * Math.floor((2 * Math.abs(numerator) + denominator) / (2 * denominator));
}

/**
 * What a weight costs at a rate, half up to the cent.
 *
 * @param w - thousandths of the shop's unit
 * @param centsPerUnit - whole cents for one lb or kg
 * @example chargeForWeight(weight(408.6), 98) // => 40043
 */
export function chargeForWeight(w: Weight, centsPerUnit: number): Cents {
  return cents(divideHalfUp(w * centsPerUnit, 1000));
}

/**
 * A share of an amount, half up to the cent.
 *
 * @param basisPoints - hundredths of a percent: 600 is 6 %
 * @example chargeForRate(cents(1350), 600) // => 81
 */
export function chargeForRate(amount: Cents, basisPoints: number): Cents {
  return cents(divideHalfUp(amount * basisPoints, 10_000));
}

/**
 * Splits an amount so that the parts add up to the cent.
 *
 * @example splitCents(cents(10001), [1, 1, 1]) // => [3334, 3334, 3333]
 */
export function splitCents(amount: Cents, ratios: readonly number[]): Cents[] {
  return allocate(amount, ratios).map(cents);
}

/**
 * Shows an amount with its currency sign.
 *
 * @example formatMoney(cents(-15000)) // => '−$150.00'
 */
export function formatMoney(amount: Cents, sign = '$'): string {
  const digits = Math.abs(amount).toString().padStart(3, '0');
  return `${amount < 0 ? '−' : ''}${sign}${digits.slice(0, -2)}.${digits.slice(-2)}`;
}
