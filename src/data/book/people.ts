import type { OtherContact, Person, PersonId } from '@/core/order/animal';
import type { Database } from '../database';

const OF_A_PERSON = ['id', 'name', 'phone', 'email'] as const;

export async function writePerson(db: Database, person: Person): Promise<void> {
  await db('people').insert(person);
}

export async function peopleById(
  db: Database,
  ids: readonly PersonId[],
): Promise<ReadonlyMap<PersonId, Person>> {
  const people: Person[] = await db('people')
    .whereIn('id', [...new Set(ids)])
    .select(...OF_A_PERSON);
  return new Map(people.map((person) => [person.id, person]));
}

/** Everybody of this name, however it is capitalised. */
export async function peopleNamed(db: Database, name: string): Promise<Person[]> {
  return db('people')
    .whereRaw('name = ? COLLATE NOCASE', [name])
    .whereNull('mergedInto')
    .orderBy('id')
    .select(...OF_A_PERSON);
}

/** People whose name holds these letters, or whose telephone these digits; the shortest names first. */
export async function peopleHolding(db: Database, letters: string, limit: number): Promise<Person[]> {
  const digits = letters.replace(/\D/g, '');
  const like = (text: string) => `%${text.replace(/[%_]/g, '')}%`;
  return db('people')
    .whereNull('mergedInto')
    .where((query) => {
      void query.whereRaw('name LIKE ?', [like(letters)]);
      if (digits.length >= LEAST_DIGITS) {
        void query.orWhereRaw("replace(replace(phone, ' ', ''), '-', '') LIKE ?", [like(digits)]);
      }
      void query.orWhereIn('id', contactsHolding(db, like(letters), digits));
    })
    .orderByRaw('length(name), name')
    .limit(limit)
    .select(...OF_A_PERSON);
}

/** Those for whom somebody else can be reached whose name holds these letters, or whose telephone these digits. */
function contactsHolding(db: Database, letters: string, digits: string) {
  return db('contacts')
    .whereNull('endedAt')
    .where((query) => {
      void query.whereRaw('name LIKE ?', [letters]);
      if (digits.length >= LEAST_DIGITS) {
        void query.orWhereRaw("replace(replace(phone, ' ', ''), '-', '') LIKE ?", [`%${digits}%`]);
      }
    })
    .select('personId');
}

/** Others who can be reached for somebody, the first named first. */
export async function contactsOf(db: Database, personId: PersonId): Promise<OtherContact[]> {
  return db('contacts')
    .where({ personId })
    .whereNull('endedAt')
    .orderBy('at')
    .select('id', 'personId', 'name', 'phone', 'email');
}

export async function writeContact(
  db: Database,
  contact: OtherContact & { readonly at: string },
): Promise<void> {
  await db('contacts').insert({ ...contact, endedAt: null });
}

/** Somebody is not reached that way any more. @returns whether there was such a contact */
export async function endContact(db: Database, id: string, endedAt: string): Promise<boolean> {
  return (await db('contacts').where({ id }).whereNull('endedAt').update({ endedAt })) > 0;
}

/** Who had a share booked last, the latest first. */
export async function latestPeople(db: Database, limit: number): Promise<Person[]> {
  return db('people')
    .join('shares', 'shares.ownerId', 'people.id')
    .whereNull('people.mergedInto')
    .where('shares.cancelled', 0)
    .groupBy('people.id')
    .orderByRaw('max(shares.number) DESC')
    .limit(limit)
    .select(OF_A_PERSON.map((column) => `people.${column}`));
}

/** Fewer digits are in every number. */
const LEAST_DIGITS = 3;

/** Writes how somebody can be reached, where that was not known. */
export async function addContact(db: Database, { id, phone, email }: Person): Promise<void> {
  await db('people').where({ id }).update({ phone, email });
}

/** Somebody the shop knows, with what it notes of them; undefined when there is nobody, or they stand under another. */
export async function personById(
  db: Database,
  id: string,
): Promise<(Person & { notes: string }) | undefined> {
  return db('people')
    .where({ id })
    .whereNull('mergedInto')
    .select(...OF_A_PERSON, 'notes')
    .first();
}

export async function writeNotes(db: Database, id: PersonId, notes: string): Promise<void> {
  await db('people').where({ id }).update({ notes });
}

/** Everything that one person had to do with is the other's from now on; the notes of both stand together. */
export async function mergePeople(
  db: Database,
  {
    keep,
    double,
  }: { readonly keep: Person & { notes: string }; readonly double: Person & { notes: string } },
): Promise<void> {
  for (const column of ['ownerId', 'payerId', 'contactId']) {
    await db('shares')
      .where({ [column]: double.id })
      .update({ [column]: keep.id });
  }
  await db('contacts').where({ personId: double.id }).update({ personId: keep.id });
  await db('animals').where({ farmId: double.id }).update({ farmId: keep.id });
  await db('links').where({ farmId: double.id }).update({ farmId: keep.id });
  const notes = [keep.notes, double.notes].filter((said) => said !== '').join(' ');
  const reached = { phone: keep.phone ?? double.phone, email: keep.email ?? double.email };
  await db('people')
    .where({ id: keep.id })
    .update({ ...reached, notes });
  await db('people').where({ id: double.id }).update({ mergedInto: keep.id });
}
