import type { ShareId } from '@/core/order/animal';
import type { Database } from '../database';

/** How an owner has said it: on paper that lies in the shop, or by an answer that the shop keeps. */
export const SAID_HOW = ['paper', 'mail', 'text'] as const;
export type SaidHow = (typeof SAID_HOW)[number];

/** What an owner has said in writing to being ground together with others; the last word holds. */
export type PoolWord = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly yes: boolean;
  /** Who said it. */
  readonly name: string;
  readonly how: SaidHow;
  readonly at: string;
  readonly actorId: string;
};

export async function writePoolWord(db: Database, word: PoolWord): Promise<void> {
  await db('poolWords').insert(word);
}

/** Everything these shares have said to it, the first first. */
export async function poolWordsOf(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<readonly Omit<PoolWord, 'clientId'>[]> {
  const rows: PoolWord[] = await db('poolWords')
    .whereIn('shareId', [...shareIds])
    .orderBy('number')
    .select('id', 'shareId', 'yes', 'name', 'how', 'at', 'actorId');
  return rows.map((row) => ({ ...row, yes: Boolean(row.yes) }));
}

/** Shares whose last word was a yes. */
export async function sharesThatPool(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlySet<ShareId>> {
  const said = await poolWordsOf(db, shareIds);
  const last = new Map(said.map(({ shareId, yes }) => [shareId, yes]));
  return new Set([...last].flatMap(([shareId, yes]) => (yes ? [shareId] : [])));
}
