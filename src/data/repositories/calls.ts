import type { Database } from '../database';

/** How a call went: somebody answered, a message was left, or nobody was there. */
export type Reached = 'spoken' | 'message' | 'nobody';

/** What was said on the telephone about a share. */
export type Call = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: string;
  readonly reached: Reached;
  readonly said: string;
  readonly at: string;
  readonly actorId: string;
  readonly actorName: string;
};

/** The calls about a share, the earliest first. */
export async function callsOfShare(db: Database, shareId: string): Promise<Call[]> {
  return db('calls').where({ shareId }).orderBy('rowid');
}

export async function writeCall(db: Database, call: Call): Promise<void> {
  await db('calls').insert(call);
}
