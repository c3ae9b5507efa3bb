import type { ShareId } from '@/core/order/animal';
import type { SheetReopening, SheetVersion } from '@/core/order/work';
import type { Database } from '../database';

type VersionRow = Omit<SheetVersion, 'sheet' | 'approved'> & { sheet: string; approved: number };
type DraftRow = Pick<SheetVersion, 'shareId' | 'version' | 'at' | 'actorId'> & { sheet: string };

function versionOf(row: VersionRow): SheetVersion {
  return { ...row, sheet: JSON.parse(row.sheet), approved: row.approved === 1 };
}

function draftOf(row: DraftRow): SheetVersion {
  return { ...row, sheet: JSON.parse(row.sheet), approved: false, overrideReason: null };
}

/** The sheet that each share is worked on by: its draft, else its last version. */
export async function sheetsInForce(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, SheetVersion>> {
  const newest = db('sheets')
    .whereIn('shareId', [...shareIds])
    .groupBy('shareId')
    .select('shareId')
    .max('version as version')
    .as('newest');
  const versions: VersionRow[] = await db(newest)
    .join('sheets', (on) =>
      on.on('newest.shareId', 'sheets.shareId').andOn('newest.version', 'sheets.version'),
    )
    .select('sheets.*');
  const drafts: DraftRow[] = await db('sheetDrafts').whereIn('shareId', [...shareIds]);
  return new Map([...versions.map(versionOf), ...drafts.map(draftOf)].map((sheet) => [sheet.shareId, sheet]));
}

/** Appends a version that stands for ever, and ends the draft it was made from. */
export async function writeSheetVersion(db: Database, version: SheetVersion): Promise<void> {
  await db('sheets').insert({ ...version, sheet: JSON.stringify(version.sheet) });
  await db('sheetDrafts').where({ shareId: version.shareId }).delete();
}

/** Keeps what has been drafted as a version, before somebody else goes on with it. */
export async function keepDraft(db: Database, shareId: ShareId): Promise<void> {
  const draft: DraftRow | undefined = await db('sheetDrafts').where({ shareId }).first();
  if (draft) await writeSheetVersion(db, draftOf(draft));
}

/** Keeps a draft in place of the one before it. */
export async function writeDraft(db: Database, draft: SheetVersion): Promise<void> {
  const { shareId, version, at, actorId } = draft;
  const row = { shareId, version, at, actorId, sheet: JSON.stringify(draft.sheet) };
  await db('sheetDrafts').insert(row).onConflict('shareId').merge();
}

/** The versions of a share's sheet that stand, with what is in them, the latest first. */
export async function latestVersions(db: Database, shareId: ShareId, most: number): Promise<SheetVersion[]> {
  const rows: VersionRow[] = await db('sheets').where({ shareId }).orderBy('version', 'desc').limit(most);
  return rows.map(versionOf);
}

/** The versions of a share's sheet that stand, without what is in them, the earliest first. */
export async function versionsOfShare(
  db: Database,
  shareId: ShareId,
): Promise<Omit<SheetVersion, 'sheet' | 'shareId'>[]> {
  const rows: Pick<VersionRow, 'version' | 'approved' | 'overrideReason' | 'at' | 'actorId'>[] = await db(
    'sheets',
  )
    .where({ shareId })
    .orderBy('version')
    .select('version', 'approved', 'overrideReason', 'at', 'actorId');
  return rows.map((row) => ({ ...row, approved: row.approved === 1 }));
}

export async function writeReopening(db: Database, reopening: SheetReopening): Promise<void> {
  await db('sheetReopenings').insert(reopening);
}

/** How often, when and why a share's approved sheet was opened again, the earliest first. */
export async function reopeningsOfShare(db: Database, shareId: ShareId): Promise<SheetReopening[]> {
  return db('sheetReopenings').where({ shareId }).orderBy('version');
}
