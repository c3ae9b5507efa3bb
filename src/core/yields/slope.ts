/** How a figure changes with another over many shares, by least squares. */
export type Slope = {
  /** Of the figure, for one more of the other. */
  readonly perOne: number;
  readonly of: number;
  /** Whether it is more than chance: at least twice its standard error. */
  readonly isClear: boolean;
};

type Pair = readonly [x: number, y: number];

/** Fewer shares than these have no slope worth saying. */
const FEWEST = 8;
const CLEAR_ERRORS = 2;

/** The slope over pairs; null where there are too few, or all have the same of the other. */
export function slopeOf(pairs: readonly Pair[]): Slope | null {
  const n = pairs.length;
  if (n < FEWEST) return null;
  const meanOf = (at: 0 | 1) => pairs.reduce((sum, pair) => sum + pair[at], 0) / n;
  const [meanX, meanY] = [meanOf(0), meanOf(1)];
  const spread = pairs.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
  if (spread === 0) return null;
  const perOne = pairs.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / spread;
  const rest = pairs.reduce((sum, [x, y]) => sum + (y - meanY - perOne * (x - meanX)) ** 2, 0);
  const error = Math.sqrt(rest / (n - 2) / spread);
  return { perOne, of: n, isClear: Math.abs(perOne) > CLEAR_ERRORS * error };
}
