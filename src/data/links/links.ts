import type { PersonId, ShareId } from '@/core/order/animal';
import type { Instant } from '@/core/time/shopTime';
import type { Database } from '../database';

/** What a private link opens: one share, or everything of one farm. */
export type Opens =
  | { readonly shareId: ShareId; readonly farmId: null }
  | { readonly shareId: null; readonly farmId: PersonId };

/** A private link; its token is known to whoever was sent it alone. */
export type Link = Opens & {
  readonly id: string;
  /** Whether what it costs is shown. */
  readonly prices: boolean;
  readonly at: Instant;
  readonly actorId: string;
  readonly expiresAt: Instant;
  readonly endedAt: Instant | null;
};

type Row = Opens & Omit<Link, 'prices' | keyof Opens> & { readonly prices: number };

const COLUMNS = ['id', 'shareId', 'farmId', 'prices', 'at', 'actorId', 'expiresAt', 'endedAt'] as const;
const linkOf = (row: Row): Link => ({ ...row, prices: row.prices === 1 });

export async function writeLink(db: Database, link: Link & { readonly tokenHash: string }): Promise<void> {
  await db('links').insert(link);
}

async function linkWhere(db: Database, where: object): Promise<Link | undefined> {
  const row: Row | undefined = await db('links')
    .where(where)
    .first(...COLUMNS);
  return row && linkOf(row);
}

export function linkByHash(db: Database, tokenHash: string): Promise<Link | undefined> {
  return linkWhere(db, { tokenHash });
}

export function linkById(db: Database, id: string): Promise<Link | undefined> {
  return linkWhere(db, { id });
}

/** Every link that was ever given to these shares, or to a farm, the latest first. */
export async function linksTo(
  db: Database,
  { shareIds = [], farmId }: { readonly shareIds?: readonly ShareId[]; readonly farmId?: PersonId },
): Promise<Link[]> {
  const rows: Row[] = await db('links')
    .where((query) => {
      void query.whereIn('shareId', [...shareIds]);
      if (farmId) void query.orWhere({ farmId });
    })
    .orderByRaw('at DESC, rowid DESC')
    .select(...COLUMNS);
  return rows.map(linkOf);
}

/** Ends a link at once. @returns whether there was one that held */
export async function endLink(db: Database, id: string, endedAt: Instant): Promise<boolean> {
  return (await db('links').where({ id }).whereNull('endedAt').update({ endedAt })) > 0;
}

/** A household said that its sheet is as it wants it. */
export type SheetSend = {
  readonly id: string;
  readonly shareId: ShareId;
  readonly version: number;
  readonly at: Instant;
  readonly actorId: string;
};

export async function writeSend(db: Database, send: SheetSend): Promise<void> {
  await db('sheetSends').insert(send);
}

/** What was sent of a share, the latest first. */
export async function sendsOfShare(db: Database, shareId: ShareId): Promise<SheetSend[]> {
  return db('sheetSends').where({ shareId }).orderByRaw('at DESC, rowid DESC');
}

/** When each of these shares was sent last, by its id. */
export async function lastSends(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, Instant>> {
  const rows: { shareId: ShareId; at: Instant }[] = await db('sheetSends')
    .whereIn('shareId', [...shareIds])
    .groupBy('shareId')
    .select('shareId')
    .max({ at: 'at' });
  return new Map(rows.map(({ shareId, at }) => [shareId, at]));
}

/** Shares before the block whose household sent its sheet after the shop last approved it. */
export async function unansweredSends(db: Database): Promise<ShareId[]> {
  return db('sheetSends')
    .join('shareStages', 'shareStages.shareId', 'sheetSends.shareId')
    .whereIn('shareStages.stage', ['book', 'hang', 'sheet', 'wrap'])
    .where('shareStages.onBlock', false)
    .whereNotExists(
      db('sheets')
        .whereRaw('sheets.shareId = sheetSends.shareId AND sheets.version > sheetSends.version')
        .where({ approved: true }),
    )
    .distinct()
    .pluck('sheetSends.shareId');
}
