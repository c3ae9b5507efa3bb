import { group } from 'd3-array';
import type { ShareId } from '@/core/order/animal';
import type { Deviation } from '@/core/order/deviation';
import type { Database } from '../database';

/** What was done otherwise at the block, by share, in the order in which it was said. */
export async function deviationsOfShares(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, readonly Deviation[]>> {
  const rows: Deviation[] = await db('deviations')
    .whereIn('shareId', [...shareIds])
    .orderBy('rowid');
  return group(rows, (row) => row.shareId);
}

export async function writeDeviation(db: Database, deviation: Deviation): Promise<void> {
  await db('deviations').insert(deviation);
}
