import type { Sheet } from '@/core/sheet/types';
import type { Instant } from '@/core/time/shopTime';
import type { Database } from '../database';

/** A sheet that somebody tried before booking: found by its code, and nobody's. */
export type TriedSheet = {
  readonly code: string;
  /** Its species' id. */
  readonly species: string;
  readonly sheet: Sheet;
  readonly at: Instant;
  readonly expiresAt: Instant;
};

type Row = Omit<TriedSheet, 'sheet'> & { readonly sheet: string };

/** Keeps one, and forgets those whose day is past. */
export async function writeTriedSheet(db: Database, tried: TriedSheet): Promise<void> {
  await db('triedSheets').where('expiresAt', '<=', tried.at).delete();
  await db('triedSheets').insert({ ...tried, sheet: JSON.stringify(tried.sheet) });
}

export async function countTriedSheets(db: Database): Promise<number> {
  const row = await db('triedSheets').count({ many: '*' }).first();
  return Number(row!.many);
}

/** The one that is kept under a code, until its day. */
export async function triedSheetBy(
  db: Database,
  code: string,
  now: Instant,
): Promise<TriedSheet | undefined> {
  const row: Row | undefined = await db('triedSheets').where({ code }).where('expiresAt', '>', now).first();
  return row && { ...row, sheet: JSON.parse(row.sheet) };
}
