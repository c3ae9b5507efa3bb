import { createEvents, type EventAttributes } from 'ics';
import { dayIn, daysAfter, instant, type Day } from '@/core/time/shopTime';
import { readyOn } from '@/core/week/ready';
import { weekStanding } from '@/core/week/journal';
import { planOf } from '@/core/order/standing';
import { partWords } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { success, type Result } from '@/core/quantity/result';
import { readShop } from '@/data/setUp';
import { weekEvents } from '@/data/week';
import type { Reason } from '../house/reasons';
import type { House } from '../house/useCase';

/** A file of an open calendar (RFC 5545), to be saved or subscribed to. */
export type CalendarFile = { readonly name: string; readonly text: string };

type WholeDay = { readonly uid: string; readonly day: Day; readonly title: string; readonly words: string };

/** The day on which a share is cut: as it was, as it is planned, or about when it has hung. */
export async function cutDayOf(
  { db }: House,
  { animal, situation, start, shop }: ShareFile,
): Promise<{ readonly cutOn: Day; readonly isAbout: boolean }> {
  if (start) return { cutOn: dayIn(shop.zone, new Date(start.at)), isAbout: false };
  const planned = weekStanding(await weekEvents(db)).planned.get(animal.id);
  return planned
    ? { cutOn: planned, isAbout: false }
    : { cutOn: daysAfter(animal.killDate, situation.species.hang.targetDays), isAbout: true };
}

/** A household's own days: when it is cut, and from when it can be collected; about so, before a plan stands. */
export async function householdCalendar(house: House, own: ShareFile): Promise<Result<CalendarFile, Reason>> {
  const { animal, situation, share, shop } = own;
  const { cutOn, isAbout } = await cutDayOf(house, own);
  const about = isAbout ? 'About: ' : '';
  const isCured = planOf(own).expected.lines.some(({ cure }) => cure !== null);
  const of = `${partWords(own)} of ${situation.species.name.toLowerCase()} ${animal.tag}`;
  const words = `${shop.name}, ${shop.phone ?? ''}. The shop rings you when it is ready.`;
  return calendarFile(house, {
    name: 'meat',
    title: `Meat of ${share.owner.name}`,
    days: [
      { uid: `${share.id}-cut`, day: cutOn, title: `${about}${of} is cut`, words },
      { uid: `${share.id}-ready`, day: readyOn(cutOn, isCured), title: `${about}${of} is ready`, words },
    ],
  });
}

function dateOf(day: Day): [number, number, number] {
  return day.split('-').map(Number) as [number, number, number];
}

type ToWrite = { readonly name: string; readonly title: string; readonly days: readonly WholeDay[] };

export async function calendarFile(
  { db, now }: House,
  { name, title, days }: ToWrite,
): Promise<Result<CalendarFile, Reason>> {
  const shop = await readShop(db);
  const events = days.map(({ uid, day, title: of, words }): EventAttributes => {
    return {
      ...{ uid: `${uid}@fractum`, title: of, description: words, location: shop.name },
      ...{ start: dateOf(day), end: dateOf(daysAfter(day, 1)), transp: 'TRANSPARENT' },
      ...{ calName: title, productId: '-//Fractum//EN', timestamp: instant(now) },
    };
  });
  const { error, value } = createEvents(events, { calName: title, productId: '-//Fractum//EN' });
  // Days and words are the shop's own and checked: what cannot be written is a fault of the program.
  if (!value) throw error ?? new Error('The calendar came out empty.');
  return success({ name: `${name}.ics`, text: value });
}
