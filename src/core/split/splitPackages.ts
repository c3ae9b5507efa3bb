import { solve } from '../solver/solve';
import { readSplit, splitModel } from './model';
import {
  checkSplit,
  outcomesOf,
  unfairnessPct,
  type PartyOutcome,
  type SplitCounts,
  type SplitProblem,
} from './problem';

/** How hard the split is sought; the same numbers give the same split on every machine. */
export type Effort = {
  /** Branches tried before the best split so far is taken. */
  readonly nodes: number;
  /** A split this close to the best possible is as good as it, percent of the whole. */
  readonly closeEnoughPct: number;
};

/** A hundredth of a percent of a 300 lb share is half an ounce: below what any table scale shows twice alike. */
const USUAL_EFFORT: Effort = { nodes: 200, closeEnoughPct: 0.01 };

export type Split = {
  readonly counts: SplitCounts;
  readonly parties: readonly PartyOutcome[];
  /** The worst party in weight or in worth, percent of the whole. */
  readonly unfairnessPct: number;
  /** True when no other split can be fairer by more than `closeEnoughPct`; false when the search was cut short. */
  readonly proven: boolean;
};

/**
 * Shares packages out: whole packages, every cut as evenly as it goes, and the largest unfairness in weight and
 * worth as small as possible. Heavy: for the server, the command line or a worker.
 *
 * @throws RangeError when shares are not 100 together or a count or weight is below zero
 */
export async function splitPackages(problem: SplitProblem, effort: Effort = USUAL_EFFORT): Promise<Split> {
  checkSplit(problem);
  const model = splitModel(problem);
  const sought = await solve(model, { gap: effort.closeEnoughPct, nodes: effort.nodes });
  // A search that is cut short tells how fair its best split is, but not which: asked for one that fair, it says.
  const found = sought.optimal
    ? sought
    : await solve(model, { gap: sought.objective + effort.closeEnoughPct });
  const counts = readSplit(problem, found.values);
  return {
    counts,
    parties: outcomesOf(problem, counts),
    unfairnessPct: unfairnessPct(problem, counts),
    proven: sought.optimal,
  };
}
