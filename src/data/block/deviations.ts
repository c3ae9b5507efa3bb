import { group } from 'd3-array';
import type { ShareId } from '@/core/order/animal';
import type { Deviation } from '@/core/order/deviation';
import type { Plan } from '@/core/order/plan';
import type { Database } from '../database';

const COLUMNS = [
  'id',
  'clientId',
  'shareId',
  'hand',
  'decision',
  'reason',
  'doneAs',
  'weight',
  'asked',
  'done',
  'at',
  'actorId',
] as const satisfies readonly (keyof Deviation)[];

/** What was done otherwise at the block, by share, in the order in which it was said. */
export async function deviationsOfShares(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, readonly Deviation[]>> {
  const rows: Deviation[] = await db('deviations')
    .whereIn('shareId', [...shareIds])
    .orderBy('rowid')
    .select(...COLUMNS);
  return group(rows, (row) => row.shareId);
}

/** @param plan - what is to be made from here on */
export async function writeDeviation(db: Database, deviation: Deviation, plan: Plan): Promise<void> {
  await db('deviations').insert({ ...deviation, plan: JSON.stringify(plan) });
}
