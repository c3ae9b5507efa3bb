import type { Bill } from '@/core/charges/bill';
import type { Weight } from '@/core/quantity/weight';
import type { Database } from '../database';

/** A ticket of the rail scale. A later ticket of the same kind corrects the earlier one. */
export type SideWeight = {
  readonly id: string;
  readonly clientId: string;
  readonly sideId: string;
  readonly kind: 'hot' | 'cold';
  readonly gross: Weight;
  /** Hook and trolley. */
  readonly tare: Weight;
  readonly at: string;
  readonly actorId: string;
  /** Null when the ticket changed nothing in the ledger. */
  readonly transactionId: string | null;
};

/** Every rail ticket, in the order they were written. */
export async function allSideWeights(db: Database): Promise<SideWeight[]> {
  return db('sideWeights').select().orderBy('rowid');
}

export async function writeSideWeight(db: Database, ticket: SideWeight): Promise<void> {
  await db('sideWeights').insert(ticket);
}

/** A share has gone to the block: which sheet holds, and what it was estimated at. */
export type BlockStart = {
  readonly shareId: string;
  readonly sheetVersion: number;
  readonly estimate: Bill;
  readonly at: string;
  readonly actorId: string;
};

export async function allBlockStarts(db: Database): Promise<BlockStart[]> {
  const rows = await db('blockStarts').select();
  return rows.map((row) => ({ ...row, estimate: JSON.parse(row.estimate) }));
}

export async function writeBlockStart(db: Database, start: BlockStart): Promise<void> {
  await db('blockStarts').insert({ ...start, estimate: JSON.stringify(start.estimate) });
}
