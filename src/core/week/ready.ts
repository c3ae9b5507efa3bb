import { daysAfter, daysBetween, type Day } from '../time/shopTime';

/** Days from the block to the hand-over; the shop's cure plan and its freezer stand above them. */
export const CUT_DAYS = 1;
export const FREEZE_DAYS = 2;
/** In the cure and out of the smoke, for what is cured in the usual way. */
export const CURE_DAYS = 7;
export const SMOKE_DAYS = 2;

/** Days that pass between the day on which it is cut and the day on which all of it can go home. */
export function leadDays(isCured: boolean): number {
  return CUT_DAYS + FREEZE_DAYS + (isCured ? CURE_DAYS + SMOKE_DAYS : 0);
}

/**
 * When packs can be collected, cut on a day.
 *
 * @example readyOn('2026-11-16', false) // => '2026-11-19'
 * @example readyOn('2026-11-16', true) // => '2026-11-28'
 */
export function readyOn(cutOn: Day, isCured: boolean): Day {
  return daysAfter(cutOn, leadDays(isCured));
}

/** The last of some days on which it may be cut to be ready by a day; -1 where all are too late. */
export function lastCutFor(days: readonly Day[], readyBy: Day, isCured: boolean): number {
  return days.findLastIndex((day) => daysBetween(day, readyBy) >= leadDays(isCured));
}
