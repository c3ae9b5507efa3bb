import { solve } from '../solver/solve';
import { exchangeSplit } from './exchange';
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
  /** Nobody can weigh or price less than this: thousandths of the unit, and of what one is worth. */
  readonly tolerance: number;
};

/**
 * A hundredth of a percent of a 300 lb share is half an ounce, and a hundredth of a pound a sixth of one: below what
 * a table scale shows twice alike.
 */
const USUAL_EFFORT: Effort = { nodes: 60, closeEnoughPct: 0.01, tolerance: 10 };

/** Beyond so many whole numbers a proof takes longer than anybody waits; the gap is said instead. */
const MOST_TO_PROVE = 160;

/** Lets a solver find again what is reached already, percent. */
const SLACK = 1e-6;

export type Split = {
  readonly counts: SplitCounts;
  readonly parties: readonly PartyOutcome[];
  /** The worst party in weight or in worth, percent of the whole. */
  readonly unfairnessPct: number;
  /** No split of these packages can be fairer than this, percent of the whole. */
  readonly boundPct: number;
  /** True when no other split can be fairer by anything that can be weighed, or by more than `closeEnoughPct`. */
  readonly proven: boolean;
};

/**
 * Shares packages out: whole packages, every cut as evenly as it goes, and the largest unfairness in weight and
 * worth as small as possible. Exchanges find a fair split; when something can still be weighed between the parties,
 * an exact search of bounded length betters it or proves it. Heavy: for the server, the command line or a worker.
 *
 * @throws RangeError when shares are not 100 together or a count or weight is below zero
 */
export async function splitPackages(problem: SplitProblem, effort: Effort = USUAL_EFFORT): Promise<Split> {
  checkSplit(problem);
  const isGoodEnough = (counts: SplitCounts) => nothingToWeigh(problem, counts, effort);
  const found = exchangeSplit(problem, isGoodEnough);
  if (isGoodEnough(found)) return written(problem, found, { boundPct: 0, proven: true });
  return searched(problem, found, effort);
}

function nothingToWeigh(problem: SplitProblem, counts: SplitCounts, effort: Effort): boolean {
  if (unfairnessPct(problem, counts) <= effort.closeEnoughPct) return true;
  return outcomesOf(problem, counts).every(
    ({ weightOff, worthOff }) =>
      Math.abs(weightOff) <= effort.tolerance && Math.abs(worthOff) <= effort.tolerance,
  );
}

async function searched(problem: SplitProblem, found: SplitCounts, effort: Effort): Promise<Split> {
  const reached = unfairnessPct(problem, found);
  const gap = effort.closeEnoughPct;
  const most = reached + SLACK;
  const divided = await solve(splitModel(problem, { whole: false, most }));
  const boundPct = divided.objective;
  if (reached <= boundPct + gap) return written(problem, found, { boundPct, proven: true });
  if (problem.lots.length * problem.parties.length > MOST_TO_PROVE) {
    return written(problem, found, { boundPct, proven: false });
  }
  const sought = await solve(splitModel(problem, { whole: true, most }), {
    gap,
    nodes: effort.nodes,
    lookingAround: 0,
  });
  if (!sought.optimal) return written(problem, found, { boundPct, proven: false });
  const best = readSplit(problem, sought.values);
  const better = unfairnessPct(problem, best) < reached ? best : found;
  return written(problem, better, {
    boundPct: Math.max(boundPct, unfairnessPct(problem, better) - gap),
    proven: true,
  });
}

function written(
  problem: SplitProblem,
  counts: SplitCounts,
  { boundPct, proven }: Pick<Split, 'boundPct' | 'proven'>,
): Split {
  return {
    counts,
    parties: outcomesOf(problem, counts),
    unfairnessPct: unfairnessPct(problem, counts),
    boundPct,
    proven,
  };
}
