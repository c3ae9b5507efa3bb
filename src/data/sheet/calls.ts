import type { Call } from '@/core/order/work';
import type { Database } from '../database';

/** The calls about a share, the earliest first. */
export async function callsOfShare(db: Database, shareId: string): Promise<Call[]> {
  return db('calls').where({ shareId }).orderBy('rowid');
}

export async function writeCall(db: Database, call: Call): Promise<void> {
  await db('calls').insert(call);
}
