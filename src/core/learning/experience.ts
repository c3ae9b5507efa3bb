import type { Uncertainty } from '../species/types';

/** One packed line of a finished order against its forecast. */
export type Outcome = {
  /** The cut's own name. */
  readonly cut: string;
  /** What the reference forecast, without any experience, and what was packed; both above 0, any one unit. */
  readonly expected: number;
  readonly packed: number;
  /** Relative standard deviation the forecast gave the line, its own usual beside the reference left out. */
  readonly relativeSd: number;
};

/** What finished orders say of one cut. */
export type CutExperience = {
  readonly orders: number;
  /** How much more or less of it this shop packs than the reference says, as a natural logarithm. */
  readonly logRatio: number;
  /** How sure that is: its standard deviation. */
  readonly logRatioSd: number;
  /** How much wider or narrower than the reference single orders scatter. */
  readonly noiseScale: number;
  /** Weight of the shop's own orders against the reference, 0 to 1. */
  readonly evidence: number;
};

/** A shop's own figures for animals of one kind: by the cut's own name. */
export type Experience = Readonly<Record<string, CutExperience>>;

/** What holds before anything is finished. */
export function noExperience({ priorSd }: Uncertainty): CutExperience {
  return { orders: 0, logRatio: 0, logRatioSd: priorSd, noiseScale: 1, evidence: 0 };
}

/** Orders that the reference's scatter counts for when a shop's own is estimated. */
const REFERENCE_ORDERS_FOR_NOISE = 8;

/** A single line further off than this many deviations is a mishap, not a habit, and counts as this far off. */
const MISHAP_DEVIATIONS = 4;

/**
 * Learns from finished orders, cut by cut. A shop's own ratio is drawn towards the reference: with the reference's
 * spread t and the scatter s of single orders, n orders weigh n / (n + s^2 / t^2). After few orders it helps a
 * little, after many the reference is overruled.
 *
 * @param outcomes - of orders of the same species, breaks and bone state; the order of them does not matter
 */
export function learn(outcomes: readonly Outcome[], uncertainty: Uncertainty): Experience {
  const byCut = new Map<string, Outcome[]>();
  for (const outcome of outcomes) {
    if (!(outcome.expected > 0 && outcome.packed > 0 && outcome.relativeSd > 0)) continue;
    const own = byCut.get(outcome.cut);
    if (own) own.push(outcome);
    else byCut.set(outcome.cut, [outcome]);
  }
  const cuts = [...byCut].sort(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(cuts.map(([cut, own]) => [cut, learnCut(own, uncertainty)]));
}

function learnCut(outcomes: readonly Outcome[], { priorSd }: Uncertainty): CutExperience {
  const orders = outcomes.length;
  const expectedVariance = mean(outcomes.map((each) => each.relativeSd ** 2));
  const most = MISHAP_DEVIATIONS * Math.hypot(priorSd, Math.sqrt(expectedVariance));
  const logs = outcomes
    .map((each) => Math.log(each.packed / each.expected))
    .map((log) => Math.min(most, Math.max(-most, log)))
    .sort((a, b) => a - b);
  const middle = mean(logs);
  const scatter = logs.reduce((sum, log) => sum + (log - middle) ** 2, 0);
  const variance =
    (REFERENCE_ORDERS_FOR_NOISE * expectedVariance + scatter) / (REFERENCE_ORDERS_FOR_NOISE + orders - 1);
  const evidence = orders / (orders + variance / priorSd ** 2);
  return {
    orders,
    logRatio: evidence * middle,
    logRatioSd: priorSd * Math.sqrt(1 - evidence),
    noiseScale: Math.sqrt(variance / expectedVariance),
    evidence,
  };
}

function mean(numbers: readonly number[]): number {
  return numbers.reduce((sum, each) => sum + each, 0) / numbers.length;
}
