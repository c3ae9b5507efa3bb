import type { Decision, Option } from '../species/types';
import { whyNotOffered, type Situation } from './situation';

/** A way that can be chosen, and the digit that chooses it; empty where there are more ways than digits. */
export type Numbered = { readonly option: Option; readonly digit: string };

const DIGITS = 9;

/**
 * The ways of a decision that are offered here, each with its digit: the same on the screen as on the blank sheet,
 * whatever this carcass forbids. Ways that take both sides come last; of more than nine the last for one side has 0.
 */
export function numberedOptions(decision: Decision, situation: Situation): Numbered[] {
  const oneSide = decision.options.filter(({ needsBothSides }) => !needsBothSides);
  const bothSides = decision.options.filter(({ needsBothSides }) => needsBothSides);
  const done = [...oneSide, ...bothSides].filter(
    ({ needsTool }) => needsTool === undefined || situation.tools.includes(needsTool),
  );
  const last = done.findLastIndex(({ needsBothSides }) => !needsBothSides);
  return done
    .map((option, index) => ({ option, digit: digitOf(index, last) }))
    .filter(({ option }) => whyNotOffered(option, situation) === undefined);
}

function digitOf(index: number, last: number): string {
  if (index < DIGITS) return String(index + 1);
  return index === last ? '0' : '';
}
