import { quantileSorted } from 'd3-array';

/** How a figure scatters over shares. */
export type Spread = {
  readonly mean: number;
  readonly middle: number;
  /** Eight in ten lie between these. */
  readonly low: number;
  readonly high: number;
  readonly of: number;
};

/** The spread of a figure over those that have it; null where none has. */
export function spreadOf(values: readonly (number | null)[]): Spread | null {
  const known = values.filter((each) => each !== null).sort((a, b) => a - b);
  if (known.length === 0) return null;
  return {
    mean: known.reduce((sum, each) => sum + each, 0) / known.length,
    middle: quantileSorted(known, 0.5)!,
    low: quantileSorted(known, 0.1)!,
    high: quantileSorted(known, 0.9)!,
    of: known.length,
  };
}
