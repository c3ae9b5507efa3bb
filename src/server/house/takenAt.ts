import Joi from 'joi';
import { instant, type Instant } from '@/core/time/shopTime';
import type { House } from './useCase';

/** How old something may be that waited for the network, and how far two clocks may differ. */
const LONGEST_WAIT_MS = 14 * 24 * 3_600_000;
const CLOCKS_DIFFER_MS = 10 * 60_000;

/** When something was done on the floor, by the clock of its device; it may have waited for the network since. */
export const takenAt = Joi.string().isoDate();

/** Whether a moment can be believed: not weeks old, and not ahead of the house by more than clocks differ. */
export function isBelievable({ now }: Pick<House, 'now'>, said: string): boolean {
  const age = now.getTime() - Date.parse(said);
  return age <= LONGEST_WAIT_MS && age >= -CLOCKS_DIFFER_MS;
}

/** The moment at which it was done, as far as that can be believed; never later than now. */
export function doneAt(house: Pick<House, 'now'>, said: string | undefined): Instant {
  if (said === undefined || !isBelievable(house, said)) return instant(house.now);
  return instant(new Date(Math.min(house.now.getTime(), Date.parse(said))));
}
