import type { Call } from '@/core/order/work';
import type { Database } from '../database';

/** The calls about a share, the earliest first. */
export async function callsOfShare(db: Database, shareId: string): Promise<Call[]> {
  return db('calls').where({ shareId }).orderBy('rowid');
}

/** The calls about each of these shares, the earliest first. */
export async function callsOfShares(db: Database, shareIds: readonly string[]): Promise<Call[]> {
  return db('calls')
    .whereIn('shareId', [...shareIds])
    .orderBy('rowid');
}

export async function writeCall(db: Database, call: Call): Promise<void> {
  await db('calls').insert(call);
}
