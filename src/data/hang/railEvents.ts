import type { RailEvent } from '@/core/order/onRail';
import type { SideId } from '@/core/order/animal';
import type { Database } from '../database';

/** What was done to these sides while they hung, in the order it was done. */
export async function railEventsOf(db: Database, sideIds: readonly SideId[]): Promise<RailEvent[]> {
  return db('railEvents')
    .whereIn('sideId', [...sideIds])
    .orderBy('rowid');
}

export async function writeRailEvent(db: Database, event: RailEvent): Promise<void> {
  await db('railEvents').insert(event);
}
