import type { Knex } from 'knex';
import type { ShareId } from '@/core/order/animal';
import type { YieldRow } from '@/core/yields/yieldRow';
import type { Database } from '../database';
import { LESSONS_VERSION } from '../learning';
import { writeProjection } from '../projection';

/** How rows are worked out; another number makes all of them anew at the next start. */
export const YIELDS_VERSION = 3;

/** Writes what finished shares gave, in place of what was worked out before. */
export async function writeYields(db: Database, rows: readonly YieldRow[]): Promise<void> {
  await writeProjection(db, { table: 'yields', version: YIELDS_VERSION }, rows);
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

/** What was finished in a year gave, in the order it was closed. */
export async function yieldRowsOfYear(db: Database, year: number): Promise<YieldRow[]> {
  const rows: { row: string }[] = await db('yields')
    .whereBetween('closedOn', [`${year}-01-01`, `${year}-12-31`])
    .orderBy(['closedOn', 'shareId'])
    .select('row');
  return rows.map(({ row }) => JSON.parse(row));
}

/** What all finished shares of a farm's animals gave. */
export async function yieldRowsOfFarm(db: Database, farmId: string): Promise<YieldRow[]> {
  return rowsOfShares(db, db('shares').whereIn('animalId', db('animals').where({ farmId }).select('id')));
}

/** What the finished shares of one animal gave. */
export async function yieldRowsOfAnimal(db: Database, animalId: string): Promise<YieldRow[]> {
  return rowsOfShares(db, db('shares').where({ animalId }));
}

async function rowsOfShares(db: Database, shares: Knex.QueryBuilder): Promise<YieldRow[]> {
  const rows: { row: string }[] = await db('yields').whereIn('shareId', shares.select('id')).select('row');
  return rows.map(({ row }) => JSON.parse(row));
}

/** Years in which anything was finished, the last first. */
export async function yieldYears(db: Database): Promise<number[]> {
  const rows: { year: string }[] = await db('yields')
    .distinct(db.raw('substr("closedOn", 1, 4) AS year'))
    .orderBy('year', 'desc');
  return rows.map(({ year }) => Number(year));
}

/** What finished shares are called: `Ottilie Brandreth, left half, H900`. */
export async function namesOfYields(
  db: Database,
  species: string,
  shareIds: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  const rows: { row: string }[] = await db('yields')
    .where({ species })
    .whereIn('shareId', shareIds)
    .select('row');
  return new Map(
    rows.map(({ row }) => {
      const { shareId, name, tag } = JSON.parse(row) as YieldRow;
      return [shareId, `${name}, ${tag}`];
    }),
  );
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
