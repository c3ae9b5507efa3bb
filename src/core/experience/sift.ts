import { median } from 'd3-array';
import type { Uncertainty } from '../species/types';
import type { Outcome } from './experience';

/** An outcome that is learnt from: its ratio as a natural logarithm, and how much it counts. */
type Kept = { readonly log: number; readonly relativeSd: number; readonly weight: number };

/** Since when a shop packs more or less of something, and by how much, percent. */
export type Change = { readonly since: string; readonly pct: number; readonly orders: number };

export type Sifted = {
  readonly kept: readonly Kept[];
  /** Too far off to be a habit. */
  readonly heldBack: readonly Outcome[];
  readonly change: Change | null;
};

/** A single line further off than this many deviations is a mishap, not a habit. */
const MISHAP_DEVIATIONS = 4;

/** From so many orders on the middle of the shop's own says what is far off, not the reference. */
const ENOUGH_FOR_A_MIDDLE = 5;

/** So many orders stand on each side of a change, or it is none. */
const ORDERS_BESIDE_A_CHANGE = 8;

/** A change is this many standard errors large, and this much, or it is chance. */
const CHANGE_DEVIATIONS = 4;
const LEAST_CHANGE = 0.03;

/** What an order before a change still counts. */
const WEIGHT_BEFORE_A_CHANGE = 0.1;

/**
 * Sorts the outcomes of one figure: what lies more than four deviations off is held back; where the level has moved
 * for good, what lies before counts a tenth.
 */
export function sift(outcomes: readonly Outcome[], uncertainty: Uncertainty): Sifted {
  const all = outcomes.map((outcome) => ({ outcome, log: Math.log(outcome.packed / outcome.expected) }));
  const middle = all.length < ENOUGH_FOR_A_MIDDLE ? 0 : median(all, ({ log }) => log)!;
  const usual = all.length < ENOUGH_FOR_A_MIDDLE ? uncertainty.priorSd : 0;
  const scatter = median(all, ({ log }) => Math.abs(log - middle))! * 1.4826;
  const isFar = ({ outcome, log }: (typeof all)[number]) => {
    const own = all.length < ENOUGH_FOR_A_MIDDLE ? outcome.relativeSd : Math.max(outcome.relativeSd, scatter);
    return Math.abs(log - middle) > MISHAP_DEVIATIONS * Math.hypot(usual, own);
  };
  const near = all.filter((each) => !isFar(each)).sort(inTime);
  const change = changeIn(near);
  return {
    heldBack: all.filter(isFar).map(({ outcome }) => outcome),
    change,
    kept: near.map(({ outcome, log }) => ({
      log,
      relativeSd: outcome.relativeSd,
      weight:
        (outcome.weight ?? 1) *
        (change !== null && (outcome.at ?? '') < change.since ? WEIGHT_BEFORE_A_CHANGE : 1),
    })),
  };
}

type Dated = { readonly outcome: Outcome; readonly log: number };

function inTime(a: Dated, b: Dated): number {
  const [at, later] = [a.outcome.at ?? '', b.outcome.at ?? ''];
  return at < later ? -1 : at > later ? 1 : a.log - b.log;
}

/** The day on which the level moved most, where it moved for good: the largest difference of means in its standard errors. */
function changeIn(near: readonly Dated[]): Change | null {
  const n = near.length;
  if (n < 2 * ORDERS_BESIDE_A_CHANGE) return null;
  const whole = near.reduce((total, { log }) => total + log, 0);
  const squares = near.reduce((total, { log }) => total + log * log, 0);
  let best: { z: number; step: number; at: number } | undefined;
  let before = 0;
  for (let k = 1; k < n; k += 1) {
    before += near[k - 1]!.log;
    if (k < ORDERS_BESIDE_A_CHANGE || n - k < ORDERS_BESIDE_A_CHANGE) continue;
    if ((near[k]!.outcome.at ?? '') === (near[k - 1]!.outcome.at ?? '')) continue;
    const [early, late] = [before / k, (whole - before) / (n - k)];
    const within = Math.max(1e-12, squares - k * early ** 2 - (n - k) * late ** 2) / (n - 2);
    const z = Math.abs(late - early) / Math.sqrt(within * (1 / k + 1 / (n - k)));
    if (!best || z > best.z) best = { z, step: late - early, at: k };
  }
  if (!best || best.z < CHANGE_DEVIATIONS || Math.abs(best.step) < LEAST_CHANGE) return null;
  return {
    since: near[best.at]!.outcome.at ?? '',
    pct: 100 * (Math.exp(best.step) - 1),
    orders: n - best.at,
  };
}
