import { daysAfter, type Day } from '../time/shopTime';

/** An animal that hangs, or will: from its kill until it is cut. */
export type Hanging = {
  readonly feet: number;
  readonly minutes: number;
  readonly killDate: string;
  readonly targetDay: string;
};

/** What is taken of a day. */
export type DayRoom = { readonly day: Day; readonly feet: number; readonly minutes: number };

/** How a shop keeps its week. */
export type OpenDays = { readonly open: readonly number[]; readonly holidays: readonly string[] };

/** Day of the week, 1 for Monday to 7 for Sunday. */
export function weekdayOf(day: string): number {
  return new Date(`${day}T00:00:00Z`).getUTCDay() || 7;
}

export function isOpen(day: string, { open, holidays }: OpenDays): boolean {
  return open.includes(weekdayOf(day)) && !holidays.includes(day);
}

/** The day itself, or the next one on which the shop is open; the day itself where it never is. */
export function nextOpen(day: string, week: OpenDays): Day {
  const following = Array.from({ length: 30 }, (_, later) => daysAfter(day, later));
  return following.find((each) => isOpen(each, week)) ?? (day as Day);
}

/** The next days of some weekdays, holidays left out. */
export function nextDays(
  from: string,
  weekdays: readonly number[],
  { holidays }: OpenDays,
  count: number,
): Day[] {
  const days = Array.from({ length: 120 }, (_, later) => daysAfter(from, later));
  return days.filter((day) => weekdays.includes(weekdayOf(day)) && !holidays.includes(day)).slice(0, count);
}

/**
 * What is taken of each of some days: feet of rail from the kill until the day of cutting, minutes on that day. An
 * animal is cut on the day by which it should be, or the next on which the shop is open.
 */
export function roomTaken(days: readonly Day[], hanging: readonly Hanging[], week: OpenDays): DayRoom[] {
  const cut = hanging.map((each) => ({ ...each, cutOn: nextOpen(each.targetDay, week) }));
  return days.map((day) => ({
    day,
    feet: sum(cut.filter((each) => each.killDate <= day && day < each.cutOn).map(({ feet }) => feet)),
    minutes: sum(cut.filter((each) => each.cutOn === day).map(({ minutes }) => minutes)),
  }));
}

function sum(numbers: readonly number[]): number {
  return numbers.reduce((total, each) => total + each, 0);
}

/** The first day on which more is taken than there is; undefined when there is room on all of them. */
export function firstFull(
  days: readonly DayRoom[],
  { feet, minutes }: { readonly feet: number; readonly minutes: number },
): { readonly day: Day; readonly what: 'rail' | 'block'; readonly over: number } | undefined {
  for (const taken of days) {
    // A shop that has named no rail yet is not told that it is full.
    if (feet > 0 && taken.feet > feet) return { day: taken.day, what: 'rail', over: taken.feet - feet };
    if (taken.minutes > minutes) return { day: taken.day, what: 'block', over: taken.minutes - minutes };
  }
  return undefined;
}
