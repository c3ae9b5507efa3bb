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

/** Writes how somebody can be reached, where that was not known. */
export async function addContact(db: Database, { id, phone, email }: Person): Promise<void> {
  await db('people').where({ id }).update({ phone, email });
}
