import type { Person, PersonId } from '@/core/order/animal';
import type { Database } from '../database';

export async function writePerson(db: Database, person: Person): Promise<void> {
  await db('people').insert(person);
}

export async function peopleById(
  db: Database,
  ids: readonly PersonId[],
): Promise<ReadonlyMap<PersonId, Person>> {
  const people: Person[] = await db('people').whereIn('id', [...new Set(ids)]);
  return new Map(people.map((person) => [person.id, person]));
}

/** Everybody of this name, however it is capitalised. */
export async function peopleNamed(db: Database, name: string): Promise<Person[]> {
  return db('people').whereRaw('name = ? COLLATE NOCASE', [name]).orderBy('id');
}

/** People whose name holds these letters, or whose telephone these digits; the shortest names first. */
export async function peopleHolding(db: Database, letters: string, limit: number): Promise<Person[]> {
  const digits = letters.replace(/\D/g, '');
  const like = (text: string) => `%${text.replace(/[%_]/g, '')}%`;
  return db('people')
    .whereRaw('name LIKE ?', [like(letters)])
    .modify((query) => {
      if (digits.length >= LEAST_DIGITS) {
        void query.orWhereRaw("replace(replace(phone, ' ', ''), '-', '') LIKE ?", [like(digits)]);
      }
    })
    .orderByRaw('length(name), name')
    .limit(limit);
}

/** Fewer digits are in every number. */
const LEAST_DIGITS = 3;

/** Writes how somebody can be reached, where that was not known. */
export async function addContact(db: Database, { id, phone, email }: Person): Promise<void> {
  await db('people').where({ id }).update({ phone, email });
}
