import type { Animal, Person, Share, ShareId } from '@/core/order/animal';
import type { Cancellation, Correction } from '@/core/order/changes';
import type { Database } from '../database';

export async function writeCorrection(db: Database, correction: Correction): Promise<void> {
  await db('corrections').insert(correction);
}

/** What was corrected of a share and its animal, the earliest first. */
export async function correctionsOf(db: Database, shareIds: readonly ShareId[]): Promise<Correction[]> {
  return db('corrections')
    .whereIn('shareId', [...shareIds])
    .orderBy(['at', 'id']);
}

/** Calls a share off: its part is free to be sold again. */
export async function writeCancellation(db: Database, cancellation: Cancellation): Promise<void> {
  await db('cancellations').insert(cancellation);
  await db('shares').where({ id: cancellation.shareId }).update({ cancelled: true });
}

export async function cancellationsOf(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, Cancellation>> {
  const rows: Cancellation[] = await db('cancellations').whereIn('shareId', [...shareIds]);
  return new Map(rows.map((row) => [row.shareId, row]));
}

/** Puts right what was booked of an animal. */
export async function correctAnimal(
  db: Database,
  { id, tag, sex, killDate, farm }: Pick<Animal, 'id' | 'tag' | 'sex' | 'killDate' | 'farm'>,
): Promise<void> {
  await db('animals').where({ id }).update({ tag, sex, killDate, farmId: farm.id });
}

/** Puts right who has to do with a share. */
export async function correctShare(
  db: Database,
  { id, owner, payer, contact }: Pick<Share, 'id' | 'owner' | 'payer' | 'contact'>,
): Promise<void> {
  await db('shares').where({ id }).update({ ownerId: owner.id, payerId: payer.id, contactId: contact.id });
}

/** Puts right how somebody is called and reached, in everything they have to do with. */
export async function correctPerson(db: Database, { id, name, phone }: Person): Promise<void> {
  await db('people').where({ id }).update({ name, phone });
}
