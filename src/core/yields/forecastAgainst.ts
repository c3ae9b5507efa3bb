import type { Spread } from './spread';
import { spreadOf } from './spread';
import { packedOf } from './rates';
import type { YieldRow } from './yieldRow';

/** What came home against what its plan had said, of one share. */
export type ForecastMiss = {
  /** Percent of what was forecast; above zero where more came home. */
  readonly offPct: number;
  /** Whether it lay in the range that was given. */
  readonly inRange: boolean;
};

/** How far a finished share was from its forecast; null where nothing was forecast. */
export function missOf(row: YieldRow): ForecastMiss | null {
  const { takeHome, low, high } = row.forecast;
  if (takeHome <= 0) return null;
  const packed = packedOf(row);
  return { offPct: (100 * (packed - takeHome)) / takeHome, inRange: packed >= low && packed <= high };
}

/** How good the forecasts of many shares were. */
export type Forecasts = {
  /** Of the misses in percent. */
  readonly off: Spread;
  /** Mean size of a miss, percent. */
  readonly meanError: number;
  /** Percent of the shares whose boxes lay in their range; a fair range of eight in ten has 80. */
  readonly inRangePct: number;
};

/** How good the forecasts of these shares were; null where none was forecast. */
export function forecastsOf(rows: readonly YieldRow[]): Forecasts | null {
  const misses = rows.flatMap((row) => missOf(row) ?? []);
  const off = spreadOf(misses.map(({ offPct }) => offPct));
  if (!off) return null;
  return {
    off,
    meanError: misses.reduce((sum, { offPct }) => sum + Math.abs(offPct), 0) / misses.length,
    inRangePct: (100 * misses.filter(({ inRange }) => inRange).length) / misses.length,
  };
}
