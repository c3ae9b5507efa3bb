import Joi from 'joi';
import type { Person, PersonId, ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { dayWords } from '@/core/time/shopTime';
import { bookedWith, animalIdsOf, lastSharesOf, latestPeople, peopleHolding } from '@/data/book';
import type { Database } from '@/data/database';
import { findShares, stageRowsOf } from '@/data/rail';
import { defineUseCase, OFFICE } from '../house/useCase';

/** Somebody the shop knows, with what they had last. */
export type FoundHousehold = Pick<Person, 'id' | 'name' | 'phone' | 'email'> & {
  readonly last: { readonly shareId: ShareId; readonly species: string; readonly words: string } | null;
};

/** More than these nobody reads while somebody is on the line. */
const MOST_FOUND = 6;
/** Of those who were here last, where nothing is typed. */
const MOST_LATEST = 12;

/** People by any letters of their name, digits of their telephone, tag or farm of what they had; none: the latest. */
export const householdsView = defineUseCase<{ words: string }, readonly FoundHousehold[]>({
  name: 'householdsView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ words: Joi.string().trim().max(80).allow('').required() }),
  run: async ({ db }, { words }) => {
    const found = words === '' ? await latestPeople(db, MOST_LATEST) : await peopleBy(db, words);
    const last = await lastSharesOf(
      db,
      found.map(({ id }) => id),
    );
    const had = new Map((await stageRowsOf(db, [...last.values()])).map((row) => [row.shareId, row]));
    return success(
      found.map(({ id, name, phone, email }) => {
        const row = had.get(last.get(id)!);
        const words = row
          ? `${row.name.split(', ').slice(1).join(', ')} of ${row.species.toLowerCase()} ${row.tag}, ${dayWords(row.killDate)} ${row.killDate.slice(0, 4)}`
          : '';
        return {
          id,
          name,
          phone,
          email,
          last: row ? { shareId: row.shareId, species: row.species, words } : null,
        };
      }),
    );
  },
});

async function peopleBy(db: Database, words: string): Promise<Person[]> {
  const held = await peopleHolding(db, words, MOST_FOUND);
  const rows = held.length < MOST_FOUND ? await findShares(db, words, MOST_FOUND) : [];
  const shareIds = rows.map((row) => row.shareId);
  const booked = await bookedWith(db, await animalIdsOf(db, shareIds));
  const byShares = booked.shares.filter((share) => shareIds.includes(share.id)).map((share) => share.owner);
  const people = new Map<PersonId, Person>([...held, ...byShares].map((person) => [person.id, person]));
  return [...people.values()].slice(0, MOST_FOUND);
}
