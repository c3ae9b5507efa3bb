import type { ShareId } from '@/core/order/animal';
import type { YieldRow } from '@/core/yields/yieldRow';
import type { Database } from '../database';
import { LESSONS_VERSION } from '../learning';

/** How rows are worked out; another number makes all of them anew at the next start. */
export const YIELDS_VERSION = 2;

/** Rows of one statement. */
const AT_ONCE = 400;

/** Writes what finished shares gave, in place of what was worked out before. */
export async function writeYields(db: Database, rows: readonly YieldRow[]): Promise<void> {
  for (let start = 0; start < rows.length; start += AT_ONCE) {
    const written = rows.slice(start, start + AT_ONCE).map((row) => ({
      shareId: row.shareId,
      species: row.species,
      closedOn: row.closedOn,
      version: YIELDS_VERSION,
      row: JSON.stringify(row),
    }));
    await db('yields').insert(written).onConflict('shareId').merge();
  }
}

/** What finished shares of a species gave, the last closed first. */
export async function yieldRows(db: Database, species: string): Promise<YieldRow[]> {
  const rows: { row: string }[] = await db('yields')
    .where({ species })
    .orderBy([{ column: 'closedOn', order: 'desc' }, { column: 'shareId' }])
    .select('row');
  return rows.map(({ row }) => JSON.parse(row));
}

/** The species of a finished share; undefined where it is not finished. */
export async function speciesOfYield(db: Database, shareId: string): Promise<string | undefined> {
  return (await db('yields').where({ shareId }).first('species'))?.species;
}

/** What all finished shares gave, in the order they were closed. */
export async function allYieldRows(db: Database): Promise<YieldRow[]> {
  const rows: { row: string }[] = await db('yields').orderBy(['closedOn', 'shareId']).select('row');
  return rows.map(({ row }) => JSON.parse(row));
}

/** Closed shares whose row or lessons are missing, or were worked out another way; of those cut as one the first. */
export async function closedWithoutYield(db: Database): Promise<ShareId[]> {
  const known = db('yields')
    .where({ version: YIELDS_VERSION })
    .whereIn('shareId', db('lessons').where({ version: LESSONS_VERSION }).select('shareId'))
    .select('shareId');
  const rows: { shareId: ShareId }[] = await db('closings')
    .whereNotIn('shareId', known)
    .whereIn('shareId', db('blockStarts').select('shareId'))
    .select('shareId');
  return rows.map(({ shareId }) => shareId);
}
