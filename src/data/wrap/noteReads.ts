import type { ShareId } from '@/core/order/animal';
import type { Instant } from '@/core/time/shopTime';
import type { Database } from '../database';

/** Somebody has read the words that stop the cutter once. */
export type NoteRead = {
  readonly shareId: ShareId;
  readonly actorId: string;
  readonly at: Instant;
};

/** Written once for each person; read again it stays as it was. */
export async function writeNoteRead(db: Database, read: NoteRead): Promise<void> {
  await db('noteReads').insert(read).onConflict(['shareId', 'actorId']).ignore();
}

/** Who has read the words of a share, the first first. */
export async function noteReadsOf(db: Database, shareId: ShareId): Promise<NoteRead[]> {
  return db('noteReads').where({ shareId }).orderBy('at');
}
