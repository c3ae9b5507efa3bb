import type { GuideStep } from '../species/types';
import type { Instant } from '../time/shopTime';

/** How far somebody has come at the block: each level may do what those below may. */
export const LEVELS = [1, 2, 3] as const satisfies readonly Level[];
export type Level = NonNullable<GuideStep['level']>;

/** Whoever has not been given another level cuts fully. */
export const FULL: Level = 3;

export const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  1: 'learns: pulls and clears',
  2: 'learns: all that is cut by knife',
  3: 'cuts fully',
};

/** Somebody was given a level, by whom and when; the last one holds. */
export type LevelGiven = {
  readonly personId: string;
  readonly level: Level;
  readonly at: Instant;
  readonly actorId: string;
};

/**
 * Somebody's level at a moment.
 *
 * @param given - everything that was given to anybody, in the order it was given
 */
export function levelAt(given: readonly LevelGiven[], personId: string, at: Instant): Level {
  return given.findLast((each) => each.personId === personId && each.at <= at)?.level ?? FULL;
}

/** The level that a step asks for; what nobody has said of a guide of the shop's own is for a full cutter. */
export function levelOf({ level }: Pick<GuideStep, 'level'>): Level {
  return level ?? FULL;
}
