/** What dry ageing leaves of a piece; weights in one unit. */
export type Aged = { readonly dried: number; readonly faceTrim: number; readonly left: number };

/**
 * Dry ageing: the air takes its share of what is left each day, then the dried face is cut off:
 * left = W x (1 - e)^d x (1 - f).
 *
 * @param by - share of what is left that each day takes, and share of the dried piece that is cut off
 */
export function dryAged(
  start: number,
  { daily, days, faceTrim }: { daily: number; days: number; faceTrim: number },
): Aged {
  const dried = start * (1 - daily) ** days;
  return { dried, faceTrim: dried * faceTrim, left: dried * (1 - faceTrim) };
}

/** Losses of packed meat in the freezer: once in a bag, every month in paper (docs/figures.md). */
const VACUUM_LOSS_ONCE = 0.002;
const PAPER_LOSS_PER_MONTH = 0.004;

/**
 * What is left of packed meat after months in the freezer.
 *
 * @param packed - any unit
 */
export function frozenLeft(packed: number, wrap: 'vacuum' | 'paper', months: number): number {
  if (months <= 0) return packed;
  return packed * (wrap === 'vacuum' ? 1 - VACUUM_LOSS_ONCE : (1 - PAPER_LOSS_PER_MONTH) ** months);
}
