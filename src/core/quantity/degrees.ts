import type { WeighingUnit } from './weight';

/** Degrees Fahrenheit on the scale that a shop reads: Celsius where it weighs in kilograms. */
export function ownDegrees(fahrenheit: number, unit: WeighingUnit): number {
  return unit === 'lb' ? fahrenheit : ((fahrenheit - 32) * 5) / 9;
}

/** The same the other way. */
export function toFahrenheit(degrees: number, unit: WeighingUnit): number {
  return unit === 'lb' ? degrees : (degrees * 9) / 5 + 32;
}

export function degreeSign(unit: WeighingUnit): 'F' | 'C' {
  return unit === 'lb' ? 'F' : 'C';
}

/**
 * Whole degrees, as a plan says them.
 *
 * @example wholeDegrees(130, 'lb') // => '130 F'
 * @example wholeDegrees(130, 'kg') // => '54 C'
 */
export function wholeDegrees(fahrenheit: number, unit: WeighingUnit): string {
  return `${Math.round(ownDegrees(fahrenheit, unit))} ${degreeSign(unit)}`;
}
