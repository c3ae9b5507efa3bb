import type { SideId } from '@/core/order/animal';
import type { SideWeight } from '@/core/order/work';
import type { Database } from '../database';

/** The rail tickets of these sides, in the order they were written. */
export async function ticketsOfSides(db: Database, sideIds: readonly SideId[]): Promise<SideWeight[]> {
  return db('sideWeights')
    .whereIn('sideId', [...sideIds])
    .orderBy('rowid');
}

export async function writeSideWeight(db: Database, ticket: SideWeight): Promise<void> {
  await db('sideWeights').insert(ticket);
}
