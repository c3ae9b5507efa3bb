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

/** A household's own days: when it is cut, and from when it can be collected; about so, before a plan stands. */
export async function householdCalendar(house: House, own: ShareFile): Promise<Result<CalendarFile, Reason>> {
  const { planned } = weekStanding(await weekEvents(house.db));
  const { animal, situation, share, start, shop } = own;
  const said = planned.get(animal.id);
  const begun = start && dayIn(shop.zone, new Date(start.at));
  const cutOn = begun ?? said ?? daysAfter(animal.killDate, situation.species.hang.targetDays);
  const about = begun || said ? '' : 'About: ';
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

type ToWrite = { readonly name: string; readonly title: string; readonly days: readonly WholeDay[] };

export async function calendarFile(
  { db, now }: House,
  { name, title, days }: ToWrite,
): Promise<Result<CalendarFile, Reason>> {
  const shop = await readShop(db);
  const events = days.map(({ uid, day, title: of, words }): EventAttributes => {
    const [year, month, date] = day.split('-').map(Number) as [number, number, number];
    return {
      ...{ uid: `${uid}@fractum`, title: of, description: words, location: shop.name },
      ...{ start: [year, month, date], duration: { days: 1 }, transp: 'TRANSPARENT' },
      ...{ calName: title, productId: '-//Fractum//EN', timestamp: instant(now) },
    };
  });
  const { error, value } = createEvents(events, { calName: title, productId: '-//Fractum//EN' });
  // Days and words are the shop's own and checked: what cannot be written is a fault of the program.
  if (!value) throw error ?? new Error('The calendar came out empty.');
  return success({ name: `${name}.ics`, text: value });
}
