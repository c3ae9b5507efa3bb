import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { entriesOf, type DayBook } from '@/core/dayBook/dayBook';
import { writeDayBook } from '@/core/formats/dayBookCsv';
import { success } from '@/core/quantity/result';
import { dayIn, daysAfter, endOfDay, instant, isDay, type Day } from '@/core/time/shopTime';
import { happeningsBetween, signingsOf, writeDaySigning } from '@/data/dayBook';
import { allUsers } from '@/data/people';
import { readShop } from '@/data/setUp';
import { clientId, words } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';

const day = Joi.string()
  .custom((said: string, helpers) => (isDay(said) ? said : helpers.error('day')))
  .messages({ day: '{#label} is no date. Write 2026-11-24.' });

type OfDay = { readonly day?: Day };

/** A day's book as it is read, with whether its day is over. */
export type DayBookView = DayBook & { readonly today: Day };

/** What an inspector asks for of a day: received, temperatures, grind room, cures, loads, cleaning, holds, corrections. */
export const dayBookView = defineUseCase<OfDay, DayBookView>({
  name: 'dayBookView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ day }),
  run: async (house, said) => success(await bookOf(house, said.day)),
});

/** The same as a table. */
export const dayBookFileView = defineUseCase<OfDay, { readonly name: string; readonly text: string }>({
  name: 'dayBookFileView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ day }),
  run: async (house, said) => {
    const book = await bookOf(house, said.day);
    return success({ name: `day-${book.day}.csv`, text: writeDayBook(book) });
  },
});

async function bookOf(house: House, said: Day | undefined): Promise<DayBookView> {
  const { name, establishment, zone, unit } = await readShop(house.db);
  const today = dayIn(zone, house.now);
  const of = said ?? today;
  const between = {
    from: instant(endOfDay(zone, daysAfter(of, -1))),
    to: instant(endOfDay(zone, of)),
  };
  const names = new Map((await allUsers(house.db)).map((user) => [user.id, user.name]));
  const signings = await signingsOf(house.db, of);
  return {
    ...{ shop: name, establishment, zone, today, day: of },
    entries: entriesOf(await happeningsBetween(house.db, between), { unit, names }),
    signed: signings.map(({ at, actorId, words: how }) => ({
      ...{ at, words: how },
      by: names.get(actorId) ?? 'somebody',
    })),
  };
}

type Signs = { readonly clientId: string; readonly day: Day; readonly words: string };

/** Signs the book of a day: whoever has looked at it says so, with what was found. It can be signed again. */
export const signDay = defineUseCase<Signs, { readonly day: Day }>({
  name: 'signDay',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, day: day.required(), words: words(200).required() }),
  subject: ({ day: of }) => of,
  run: async (house, { clientId: requestId, day: of, words: how }) => {
    const { zone } = await readShop(house.db);
    if (of > dayIn(zone, house.now)) return refuse('not-yet', 'That day has not come yet.', 'day');
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeDaySigning(house.db, { id: randomUUID(), clientId: requestId, day: of, words: how, ...by });
    return success({ day: of });
  },
});
