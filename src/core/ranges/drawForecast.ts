import type { Job } from '../sheet/situation';
import { drawerOf } from './drawAnimal';
import { normalsFrom } from './normals';

export type DrawOptions = {
  readonly draws: number;
  /** The same seed draws the same animals. */
  readonly seed: number;
  /** Told now and then how many are drawn; draws no more when it answers false. */
  readonly onProgress?: (drawn: number) => boolean;
};

/** Tenth, middle and ninetieth percentile of what was drawn; thousandths. */
export type Drawn = { readonly p10: number; readonly p50: number; readonly p90: number };

export type Draws = {
  /** Fewer than asked when it was told to stop. */
  readonly drawn: number;
  /** By the key of the line. */
  readonly lines: Readonly<Record<string, Drawn>>;
  readonly grind: Drawn;
  readonly takeHome: Drawn;
};

/** Draws between two calls of `onProgress`. */
const DRAWS_BETWEEN_CALLS = 500;

/**
 * Many animals drawn beside the forecast: the slow answer that the ranges of `forecast` are checked against, and the one
 * to ask when a sum of several lines is meant. For a worker.
 */
export function drawForecast(job: Job, { draws, seed, onProgress }: DrawOptions): Draws {
  const { lines, draw } = drawerOf(job, normalsFrom(seed));
  const samples = lines.map(() => new Float64Array(draws));
  const grind = new Float64Array(draws);
  const takeHome = new Float64Array(draws);
  let drawn = 0;
  while (drawn < draws) {
    const animal = draw();
    animal.lines.forEach((packed, at) => {
      samples[at]![drawn] = packed;
    });
    grind[drawn] = animal.grind;
    takeHome[drawn] = animal.takeHome;
    drawn += 1;
    if (onProgress && drawn % DRAWS_BETWEEN_CALLS === 0 && !onProgress(drawn)) break;
  }
  return {
    drawn,
    lines: Object.fromEntries(lines.map((line, at) => [line.key, percentiles(samples[at]!, drawn)])),
    grind: percentiles(grind, drawn),
    takeHome: percentiles(takeHome, drawn),
  };
}

function percentiles(sample: Float64Array, drawn: number): Drawn {
  const sorted = sample.subarray(0, drawn).slice().sort();
  const at = (part: number) => sorted[Math.min(drawn - 1, Math.floor(part * drawn))] ?? 0;
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
}
