import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';
import type { Brand } from '../quantity/brand';

dayjs.extend(utc);
dayjs.extend(timezone);

/** A day of a shop's calendar, `YYYY-MM-DD`. */
export type Day = Brand<string, 'Day'>;

/** An instant, as ISO 8601 in UTC. */
export type Instant = Brand<string, 'Instant'>;

export function instant(at: Date): Instant {
  return at.toISOString() as Instant;
}

/** Building a formatter costs a hundred times what using it does: one for each zone. */
const walls = new Map<string, Intl.DateTimeFormat>();

function wallOf(zone: string): Intl.DateTimeFormat {
  const known = walls.get(zone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' });
  walls.set(zone, made);
  return made;
}

/** Day and time on the shop's wall: `YYYY-MM-DD HH:mm`. */
export function timeIn(zone: string, at: Date): string {
  return wallOf(zone).format(at);
}

/**
 * The day that it is in a zone.
 *
 * @param zone - IANA name, such as `Europe/London`
 */
export function dayIn(zone: string, at: Date): Day {
  return timeIn(zone, at).slice(0, 10) as Day;
}

/** The instant at which a day of the shop's calendar is over. */
export function endOfDay(zone: string, day: string): Date {
  const next = dayjs.utc(day).add(1, 'day').format('YYYY-MM-DD');
  return dayjs.tz(`${next}T00:00:00`, zone).toDate();
}

/**
 * Whole days from one day of the calendar to another.
 *
 * @example daysBetween('2026-11-02', '2026-11-16') // => 14
 */
export function daysBetween(from: string, to: string): number {
  return dayjs.utc(to).diff(dayjs.utc(from), 'day');
}

/**
 * A day some days later, or earlier.
 *
 * @example daysAfter('2026-11-30', 2) // => '2026-12-02'
 */
export function daysAfter(day: string, days: number): Day {
  return dayjs.utc(day).add(days, 'day').format('YYYY-MM-DD') as Day;
}

/**
 * The instant at which the shop's clock shows a time on a day.
 *
 * @param time - `HH:mm`
 */
export function timeOn(zone: string, day: string, time: string): Date {
  return dayjs.tz(`${day}T${time}:00`, zone).toDate();
}

/**
 * The same day some months later, or the last day of a shorter month.
 *
 * @example monthsAfter('2026-11-30', 3) // => '2027-02-28'
 */
export function monthsAfter(day: string, months: number): Day {
  return dayjs.utc(day).add(months, 'month').format('YYYY-MM-DD') as Day;
}

/**
 * Whether a text is a day of the calendar.
 *
 * @example isDay('2026-02-30') // => false
 */
export function isDay(text: string): boolean {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && dayjs.utc(text).format('YYYY-MM-DD') === text;
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/**
 * A day as people say it.
 *
 * @example dayWords('2026-11-02') // => '2 Nov'
 */
export function dayWords(day: string): string {
  return `${Number(day.slice(8, 10))} ${MONTHS[Number(day.slice(5, 7)) - 1]}`;
}

/** Day and time as people say them, by the shop's calendar: `2 Nov 8:05`. */
export function momentWords(zone: string, at: string): string {
  return `${dayWords(timeIn(zone, new Date(at)))} ${clockIn(zone, at)}`;
}

/** The time of day on the shop's wall: `8:05`. */
export function clockIn(zone: string, at: string): string {
  const wall = timeIn(zone, new Date(at));
  return `${Number(wall.slice(11, 13))}:${wall.slice(14, 16)}`;
}

/** The month of a day, 1 to 12. */
export function monthOf(day: string): number {
  return Number(day.slice(5, 7));
}
