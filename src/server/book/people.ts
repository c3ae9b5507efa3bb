import { randomUUID } from 'node:crypto';
import type { Person, PersonId } from '@/core/order/animal';
import type { PersonDocument } from '@/core/order/document';
import type { Database } from '@/data/database';
import { addContact, peopleNamed, shareIdsOfPerson, writePerson } from '@/data/book';
import type { House } from '../house/useCase';

function digitsOf(phone: string | null | undefined): string {
  return (phone ?? '').replace(/\D/g, '');
}

/**
 * The person that a document names: found again when the name is known and nothing speaks against it, else written
 * anew. Two people of one name are told apart by their telephones.
 */
export async function personOf(house: House, document: PersonDocument): Promise<Person> {
  const sameName = await peopleNamed(house.db, document.name.trim());
  const digits = digitsOf(document.phone);
  const known =
    sameName.find((each) => digits !== '' && digitsOf(each.phone) === digits) ??
    (digits === '' ? onlyOne(sameName) : onlyOne(sameName.filter((each) => digitsOf(each.phone) === '')));
  return known ? withContact(house, known, document) : writtenAnew(house.db, document);
}

function onlyOne<T>(candidates: readonly T[]): T | undefined {
  return candidates.length === 1 ? candidates[0] : undefined;
}

/** What was not known of somebody is written down; their shares can be found by it from now on. */
async function withContact(house: House, known: Person, { phone, email }: PersonDocument): Promise<Person> {
  const person = { ...known, phone: known.phone ?? phone ?? null, email: known.email ?? email ?? null };
  if (person.phone === known.phone && person.email === known.email) return known;
  await addContact(house.db, person);
  for (const shareId of await shareIdsOfPerson(house.db, person.id)) house.touch(shareId);
  return person;
}

async function writtenAnew(db: Database, { name, phone, email }: PersonDocument): Promise<Person> {
  const person: Person = {
    id: randomUUID() as PersonId,
    name: name.trim(),
    phone: phone ?? null,
    email: email ?? null,
  };
  await writePerson(db, person);
  return person;
}
