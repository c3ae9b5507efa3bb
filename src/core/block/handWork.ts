import type { ShareId } from '../order/animal';
import type { Instant } from '../time/shopTime';
import type { HandId } from './hand';
import { stepsDone, type BlockStepMark } from './work';

/** What hands do to a side before it is wrapped. */
export const HAND_TASKS = ['cut', 'boned', 'trimmed'] as const;
export type HandTask = (typeof HAND_TASKS)[number];

/** Somebody said who did a task of a hand; the last word on it holds. */
export type HandWork = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly hand: HandId;
  readonly task: HandTask;
  readonly personId: string;
  readonly at: Instant;
  readonly actorId: string;
};

/**
 * Who cut, boned and trimmed what is in hand: as it was said; who cut is else whoever did most of the steps. What
 * nobody has said is absent.
 */
export function whoDid(
  said: readonly HandWork[],
  marks: readonly BlockStepMark[],
  hand: HandId,
): ReadonlyMap<HandTask, string> {
  const own = said.filter((each) => each.hand === hand);
  const cutter = mostOf([...stepsDone(marks, hand).values()].map(({ actorId }) => actorId));
  return new Map([
    ...(cutter === undefined ? [] : [['cut', cutter] as const]),
    ...own.map(({ task, personId }) => [task, personId] as const),
  ]);
}

/** What stands most often in a list; of as many the first. */
function mostOf(names: readonly string[]): string | undefined {
  const times = (name: string) => names.filter((each) => each === name).length;
  return names.reduce<string | undefined>(
    (best, name) => (best === undefined || times(name) > times(best) ? name : best),
    undefined,
  );
}
