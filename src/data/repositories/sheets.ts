import type { Sheet } from '@/core/sheet/types';
import type { Database } from '../database';

/** One saved state of a share's sheet. A change is a new version; nothing is overwritten. */
export type SheetVersion = {
  readonly shareId: string;
  readonly version: number;
  readonly sheet: Sheet;
  readonly approved: boolean;
  /** Why it went to the floor with questions open; null when none were. */
  readonly overrideReason: string | null;
  readonly at: string;
  readonly actorId: string;
};

function fromRow(
  row: Omit<SheetVersion, 'sheet' | 'approved'> & { sheet: string; approved: number },
): SheetVersion {
  return { ...row, sheet: JSON.parse(row.sheet), approved: row.approved === 1 };
}

export async function latestSheet(db: Database, shareId: string): Promise<SheetVersion | undefined> {
  const row = await db('sheets').where({ shareId }).orderBy('version', 'desc').first();
  return row && fromRow(row);
}

/** The newest version of every share that has a sheet. */
export async function latestSheets(db: Database): Promise<SheetVersion[]> {
  const newest = db('sheets').groupBy('shareId').select('shareId').max('version as version').as('newest');
  const rows = await db('sheets')
    .join(newest, (on) => on.on('newest.shareId', 'sheets.shareId').andOn('newest.version', 'sheets.version'))
    .select('sheets.*');
  return rows.map(fromRow);
}

export async function writeSheet(db: Database, version: SheetVersion): Promise<void> {
  await db('sheets').insert({ ...version, sheet: JSON.stringify(version.sheet) });
}
