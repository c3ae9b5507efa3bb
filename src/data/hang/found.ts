import type { Found } from '@/core/order/found';
import type { SideId } from '@/core/order/animal';
import type { Instant } from '@/core/time/shopTime';
import type { Database } from '../database';

/** What stands of what was found on these sides, in the order it was found. */
export async function foundOnSides(db: Database, sideIds: readonly SideId[]): Promise<Found[]> {
  return db('found')
    .whereIn('sideId', [...sideIds])
    .whereNotIn('id', db('foundWithdrawn').select('foundId'))
    .orderBy('rowid')
    .select('found.*');
}

export async function foundById(db: Database, id: string): Promise<Found | undefined> {
  return db('found').where({ id }).first();
}

export async function isWithdrawn(db: Database, foundId: string): Promise<boolean> {
  return (await db('foundWithdrawn').where({ foundId }).first('foundId')) !== undefined;
}

export async function writeFound(db: Database, found: Found): Promise<void> {
  await db('found').insert(found);
}

export type Withdrawal = {
  readonly foundId: string;
  readonly sideId: SideId;
  readonly reason: string;
  readonly at: Instant;
  readonly actorId: string;
};

export async function writeWithdrawal(db: Database, withdrawal: Withdrawal): Promise<void> {
  await db('foundWithdrawn').insert(withdrawal);
}

export type Photo = {
  readonly id: string;
  readonly sideId: SideId;
  readonly jpeg: Buffer;
  readonly at: Instant;
  readonly actorId: string;
};

export async function writePhoto(db: Database, photo: Photo): Promise<void> {
  await db('photos').insert(photo);
}

export async function photoById(db: Database, id: string): Promise<Photo | undefined> {
  return db('photos').where({ id }).first();
}
