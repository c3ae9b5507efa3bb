import { roundGroups } from './allocate';
import type { Brand } from './brand';
import { failure, success, type Result } from './result';

/** A weight in thousandths of the shop's one weighing unit; always a whole number. */
export type Weight = Brand<number, 'Weight'>;

/** The unit a shop weighs in. It is set once, when the shop is set up. */
export type WeighingUnit = 'lb' | 'kg';

/** Exact by definition of the international pound (1959). */
export const KG_PER_LB = 0.45359237;

/** 2,000 units: more than the heaviest carcass the trade hangs; beyond it a decimal point was forgotten. */
export const HEAVIEST_WEIGHT = 2_000_000 as Weight;

export const ZERO_WEIGHT = 0 as Weight;

/**
 * The weight that stands for `units` pounds or kilograms, to the nearest thousandth.
 *
 * @param units - weight in the shop's unit
 * @throws RangeError when `units` is not finite
 * @example weight(12.345) // => 12345
 */
export function weight(units: number): Weight {
  if (!Number.isFinite(units)) throw new RangeError(`"units" expected a finite number, got ${units}`);
  return Math.round(units * 1000) as Weight;
}

/**
 * Pounds or kilograms as a plain number, for formulas and charts.
 *
 * @example inUnits(weight(2.94)) // => 2.94
 */
export function inUnits(w: Weight): number {
  return w / 1000;
}

/** Adds weights without leaving the whole thousandths. */
export function sumWeights(weights: Iterable<Weight>): Weight {
  let total = 0;
  for (const w of weights) total += w;
  return total as Weight;
}

/** Rounds lists of exact thousandths together, so that all of them add up to a total weight. */
export function roundWeights<Name extends string>(
  groups: Readonly<Record<Name, readonly number[]>>,
  total: Weight,
): Record<Name, Weight[]> {
  return roundGroups(groups, total) as Record<Name, Weight[]>;
}

/**
 * Converts a number of `from` units into `to` units; the only place where pounds become kilograms.
 *
 * @param value - weight as a plain number in `from`
 * @example convertUnits(1, 'kg', 'kg') // => 1
 */
export function convertUnits(value: number, from: WeighingUnit, to: WeighingUnit): number {
  if (from === to) return value;
  return from === 'lb' ? value * KG_PER_LB : value / KG_PER_LB;
}

/** Decimals of a weight as it is printed: a hundredth of a pound is five grams, so kilograms take one more. */
const DISPLAY_DECIMALS: Readonly<Record<WeighingUnit, number>> = { lb: 2, kg: 3 };

export function displayDecimals(unit: WeighingUnit): number {
  return DISPLAY_DECIMALS[unit];
}

/**
 * Shows a weight with a fixed number of decimals, without its unit.
 *
 * @param precision - the unit, for the decimals that are usual for it; or 0 to 3
 * @example formatWeight(weight(12.345), 'lb') // => '12.35'
 */
export function formatWeight(w: Weight, precision: WeighingUnit | number): string {
  const decimals = typeof precision === 'number' ? precision : displayDecimals(precision);
  const step = 10 ** (3 - decimals);
  const rounded = Math.sign(w) * Math.round(Math.abs(w) / step);
  return ((rounded === 0 ? 0 : rounded) / 10 ** decimals).toFixed(decimals);
}

/** A weight as it stands in a field to be typed over: every thousandth of it, and no more. `1.235`, `7` */
export function weightField(w: Weight): string {
  return String(w / 1000);
}

/**
 * Reads a weight as a person types it: `12.34`, `12.34 lb`, `5,6 kg`; a stated unit is converted to the shop's.
 *
 * @param text - what was typed
 * @param unit - the shop's unit, used when none is typed
 * @returns the weight, or why it cannot be one
 */
export function parseWeight(
  text: string,
  unit: WeighingUnit,
): Result<Weight, 'not-a-weight' | 'out-of-range'> {
  const match = /^(\d+(?:[.,]\d+)?|[.,]\d+)\s*(lbs?|kg|kilos?|pounds?)?$/i.exec(text.trim());
  if (/^\d+,\d{3}\b/.test(text.trim())) {
    const message = `"${text}" may be thousands or thousandths. Type it without the comma, or with a point.`;
    return failure('not-a-weight', message);
  }
  if (!match?.[1]) {
    return failure('not-a-weight', `"${text}" is not a weight. Type a number such as 92.5.`);
  }
  const stated = match[2]?.toLowerCase();
  const from = stated === undefined ? unit : stated.startsWith('k') ? 'kg' : 'lb';
  const value = weight(convertUnits(Number(match[1].replace(',', '.')), from, unit));
  if (value > HEAVIEST_WEIGHT) {
    return failure('out-of-range', `${text} is more than any carcass weighs. Check the decimal point.`);
  }
  return success(value);
}
