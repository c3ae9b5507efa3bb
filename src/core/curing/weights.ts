/** What a cured piece weighed on its way, any one unit. */
export type CuredWeights = { readonly green: number; readonly pumped: number; readonly drained: number };

/**
 * What the pump put in and what stayed, percent of the green weight. Nitrite goes by what was put in.
 *
 * @example pumpOf({ green: 18, pumped: 20.7, drained: 20.16 }).pumpPct.toFixed(1) // => '15.0'
 */
export function pumpOf({ green, pumped, drained }: CuredWeights): { pumpPct: number; retainedPct: number } {
  const pct = (weight: number) => (100 * (weight - green)) / green;
  return { pumpPct: pct(pumped), retainedPct: pct(drained) };
}

/** Shares that a piece keeps at each step; slicing is left out where it stays whole. */
export type CureSteps = { readonly retained: number; readonly smoke: number; readonly slice?: number };

/**
 * A piece from green to finished, and the ends that slicing leaves; ends are the owner's.
 *
 * @example curedChain(24.5, { retained: 0.1, smoke: 0.86, slice: 0.94 }).ends.toFixed(2) // => '1.39'
 */
export function curedChain(green: number, { retained, smoke, slice = 1 }: CureSteps) {
  const pumped = green * (1 + retained);
  const smoked = pumped * smoke;
  const finished = smoked * slice;
  return { pumped, smoked, finished, ends: smoked - finished, onGreenPct: (100 * finished) / green };
}

/**
 * Where the weight of dried meat went: all that is gone is water.
 *
 * @param moisture - share of the green meat that is water; lean meat is near three quarters
 */
export function driedOf({
  green,
  seasoning,
  finished,
  moisture,
}: {
  green: number;
  seasoning: number;
  finished: number;
  moisture: number;
}) {
  const off = green + seasoning - finished;
  return {
    yieldPct: (100 * finished) / green,
    waterOff: off,
    moisturePct: (100 * (green * moisture - off)) / finished,
  };
}
