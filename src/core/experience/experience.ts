import type { Uncertainty } from '../species/types';
import type { BoneState } from './boneState';
import { sift, type Change, type Sifted } from './sift';

/** One figure of a finished order against its forecast. */
export type Outcome = {
  /** What it is of: a cut's own name, or another figure's. */
  readonly cut: string;
  /** What the reference forecast, without any experience, and what was packed; both above 0, any one unit. */
  readonly expected: number;
  readonly packed: number;
  /** Relative standard deviation the forecast gave it, its own usual beside the reference left out. */
  readonly relativeSd: number;
  /** How much it says of the kind of animal that is asked about, 0 to 1; 1 when absent. */
  readonly weight?: number;
  /** When it was finished, to see whether the shop has changed its hand; any words that sort by time. */
  readonly at?: string;
  /** Whose it is, where it is held back. */
  readonly source?: string;
};

/** What finished orders say of one figure. */
export type Learnt = {
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

/** What a shop has learnt of its cuts, by the cut's own name. */
export type LearntCuts = Readonly<Record<string, Learnt>>;

/** A shop's own figures for animals of one kind; what is not there is the reference's. */
export type Experience = {
  readonly cuts: LearntCuts;
  /** What the tub gives, beside what the cuts leave it. */
  readonly grind?: Readonly<Partial<Record<BoneState, Learnt>>>;
  /** How far the whole of an animal scatters; its level follows from cuts and grind. */
  readonly takeHome?: Learnt;
  /** What sides lose on the rail against the table, by how they hang. */
  readonly shrink?: LearntCuts;
};

/** What holds before anything is finished. */
export function noExperience({ priorSd }: Uncertainty): Learnt {
  return { orders: 0, logRatio: 0, logRatioSd: priorSd, noiseScale: 1, evidence: 0 };
}

/** Orders that the reference's scatter counts for when a shop's own is estimated. */
const REFERENCE_ORDERS_FOR_NOISE = 8;

/** One figure of a shop: what is learnt, what of the orders was held back, and whether the hand has changed. */
export type LearntFigure = Learnt & {
  readonly cut: string;
  readonly heldBack: readonly Outcome[];
  readonly change: Change | null;
};

/**
 * Learns from finished orders, figure by figure. A shop's own ratio is drawn towards the reference: with the reference's
 * spread t and the scatter s of single orders, n orders weigh n / (n + s^2 / t^2). After few orders it helps a
 * little, after many the reference is overruled. What lies too far off is held back; where the shop has changed its
 * hand, what was before counts little (`sift`).
 *
 * @param outcomes - of animals of one species; the order of them does not matter
 */
export function learnFigures(outcomes: readonly Outcome[], uncertainty: Uncertainty): LearntFigure[] {
  const byCut = new Map<string, Outcome[]>();
  for (const outcome of outcomes) {
    if (!(outcome.expected > 0 && outcome.packed > 0 && outcome.relativeSd > 0)) continue;
    const own = byCut.get(outcome.cut);
    if (own) own.push(outcome);
    else byCut.set(outcome.cut, [outcome]);
  }
  const cuts = [...byCut].sort(([a], [b]) => (a < b ? -1 : 1));
  return cuts.flatMap(([cut, own]) => {
    const { kept, heldBack, change } = sift(own, uncertainty);
    return kept.length === 0 && heldBack.length === 0
      ? []
      : [{ cut, ...learnOne(kept, uncertainty), heldBack, change }];
  });
}

/** The same by name, of what is learnt alone. */
export function learn(outcomes: readonly Outcome[], uncertainty: Uncertainty): LearntCuts {
  return Object.fromEntries(
    learnFigures(outcomes, uncertainty)
      .filter(({ orders }) => orders > 0)
      .map(({ cut, orders, logRatio, logRatioSd, noiseScale, evidence }) => [
        cut,
        { orders, logRatio, logRatioSd, noiseScale, evidence },
      ]),
  );
}

function learnOne(kept: Sifted['kept'], uncertainty: Uncertainty): Learnt {
  const { priorSd } = uncertainty;
  const orders = kept.length;
  const weight = sum(kept.map((each) => each.weight));
  if (orders === 0 || weight <= 0) return noExperience(uncertainty);
  const mean = (of: (each: Sifted['kept'][number]) => number) =>
    sum(kept.map((each) => each.weight * of(each))) / weight;
  const expectedVariance = mean((each) => each.relativeSd ** 2);
  const middle = mean((each) => each.log);
  const scatter = weight * mean((each) => (each.log - middle) ** 2);
  const variance =
    (REFERENCE_ORDERS_FOR_NOISE * expectedVariance + scatter) /
    (REFERENCE_ORDERS_FOR_NOISE + Math.max(0, weight - 1));
  const evidence = weight / (weight + variance / priorSd ** 2);
  return {
    orders,
    logRatio: rounded(evidence * middle),
    logRatioSd: rounded(priorSd * Math.sqrt(1 - evidence)),
    noiseScale: rounded(Math.sqrt(variance / expectedVariance)),
    evidence: rounded(evidence),
  };
}

/** More digits than anybody could measure are noise, and are sent to every sheet. */
function rounded(value: number): number {
  return Math.round(value * 1e6) / 1e6;
}

/** Summed smallest first, so that the order of what is summed does not show. */
function sum(numbers: readonly number[]): number {
  return [...numbers].sort((a, b) => a - b).reduce((total, each) => total + each, 0);
}
