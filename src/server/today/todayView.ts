import Joi from 'joi';
import { tasksOf, type Task, type TaskKind } from '@/core/today/tasks';
import { formatMoney } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import { dayIn, dayWords, timeIn, timeOn } from '@/core/time/shopTime';
import { unansweredSends } from '@/data/links';
import { goneSince, liveRows } from '@/data/rail';
import { readShop } from '@/data/setUp';
import type { Role } from '@/data/people';
import { roleOf } from '../house/actor';
import { defineUseCase, isOffice, STAFF } from '../house/useCase';

/** A thing to do as a role sees it: money and telephones are sent to the office alone. */
export type TaskShown = Omit<Task, 'owed'> & { readonly owed: string };

export type Today = {
  readonly day: string;
  /** By the shop's clock, `HH:mm`. */
  readonly now: string;
  readonly hours: { readonly block: string; readonly calls: string; readonly close: string };
  readonly tasks: readonly TaskShown[];
  /** Who has collected today. */
  readonly gone: readonly string[];
};

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** What is done at whose station. */
const OF_THE_FLOOR: Readonly<Partial<Record<Role, readonly TaskKind[]>>> = {
  cutter: ['weigh-in', 'weigh-cold', 'to-block', 'on-block'],
  wrapper: ['to-block', 'on-block', 'in-cure'],
  smoker: ['on-block', 'in-cure'],
};

/** What must happen today and what is late, for the role that asks. */
export const todayView = defineUseCase<Record<string, never>, Today>({
  name: 'todayView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async ({ db, now, actor, setUp }) => {
    const shop = await readShop(db);
    const { hours, sheetDays, storageDays } = setUp.rules;
    const { zone, currency } = shop;
    const today = dayIn(zone, now);
    const office = isOffice(actor);
    const kinds = office ? undefined : OF_THE_FLOOR[roleOf(actor) as Role];
    const sent = new Set(await unansweredSends(db));
    const tasks = tasksOf(await liveRows(db), { now, zone, hours, sheetDays, storageDays, sent }).filter(
      ({ kind }) => !kinds || kinds.includes(kind),
    );
    const gone = office ? await goneSince(db, timeOn(zone, today, '00:00').toISOString()) : [];
    return success({
      day: `${WEEKDAYS[new Date(`${today}T00:00:00Z`).getUTCDay()]} ${dayWords(today)}`,
      now: timeIn(zone, now).slice(11),
      hours,
      tasks: tasks.map(({ owed, phone, ...task }) => ({
        ...task,
        phone: office ? phone : '',
        owed: office && owed > 0 ? formatMoney(owed as never, currency) : '',
      })),
      gone: gone.map((row) => row.name),
    });
  },
});
