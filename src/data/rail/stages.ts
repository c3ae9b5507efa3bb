import type { ShareId } from '@/core/order/animal';
import type { Stage } from '@/core/order/stage';
import type { StageRow } from '@/core/order/stageRow';
import type { Database } from '../database';

/** What no longer waits for anything. */
const ENDED = ['gone', 'cancelled'] as const;

const YES_OR_NO = ['hasSheet', 'hasNote', 'onBlock', 'coldWeighed', 'inCure'] as const;

type Stored = Omit<StageRow, (typeof YES_OR_NO)[number]> & Record<(typeof YES_OR_NO)[number], number>;

function fromStored(row: Stored): StageRow {
  const flags = Object.fromEntries(YES_OR_NO.map((name) => [name, row[name] === 1]));
  return { ...row, ...(flags as Record<(typeof YES_OR_NO)[number], boolean>) };
}

/** Writes where a share stands now, in place of where it stood. Words are indexed anew only when they change. */
export async function writeStage(db: Database, row: StageRow): Promise<void> {
  const { number, words } = row;
  const known = await db('shareStages').where({ number }).first('words');
  await db('shareStages').insert(row).onConflict('number').merge();
  if (known?.words === words) return;
  if (known) await db('stageWords').where({ rowid: number }).delete();
  await db('stageWords').insert({ rowid: number, words });
}

export async function stageRowsOf(db: Database, shareIds: readonly ShareId[]): Promise<StageRow[]> {
  return (
    await db('shareStages')
      .whereIn('shareId', [...shareIds])
      .orderBy('number')
  ).map(fromStored);
}

export async function allStageRows(db: Database): Promise<StageRow[]> {
  return (await db('shareStages').orderBy('number')).map(fromStored);
}

/** How many shares wait at each stage; what has gone home is not counted. */
export async function stageCounts(db: Database): Promise<ReadonlyMap<Stage, number>> {
  // Said in the text, not bound: only then does SQLite know that its index of live shares will do.
  const rows: { stage: Stage; shares: number }[] = await db('shareStages')
    .whereRaw("stage <> 'gone'")
    .groupBy('stage')
    .select('stage')
    .count({ shares: '*' });
  return new Map(rows.map((row) => [row.stage, Number(row.shares)]));
}

export type Page = { readonly offset: number; readonly limit: number };

/** The shares at a stage: those that wait longest first, those gone home latest first. */
export async function sharesAt(db: Database, stage: StageRow['stage'], page: Page): Promise<StageRow[]> {
  const order = stage === 'gone' ? 'desc' : 'asc';
  const rows = await db('shareStages')
    .where({ stage })
    .orderBy([
      { column: 'since', order },
      { column: 'number', order },
    ])
    .offset(page.offset)
    .limit(page.limit);
  return rows.map(fromStored);
}

/** The shares that are still in the shop, at any of these stages. */
export async function liveShares(db: Database, stages: readonly Stage[]): Promise<ShareId[]> {
  const rows: { shareId: ShareId }[] = await db('shareStages')
    .whereIn('stage', [...stages])
    .orderBy('number')
    .select('shareId');
  return rows.map((row) => row.shareId);
}

/** The shares of a farm's animals that are booked or in the shop, in the order of their numbers. */
export async function liveSharesOfFarm(db: Database, farmId: string): Promise<ShareId[]> {
  return db('shareStages')
    .join('animals', 'animals.id', 'shareStages.animalId')
    .where('animals.farmId', farmId)
    .whereNotIn('shareStages.stage', ENDED)
    .orderBy('shareStages.number')
    .pluck('shareStages.shareId');
}

/** How many of these shares are of no animal of a farm: another's, or no shares at all. */
export async function sharesOfOtherFarms(
  db: Database,
  { shareIds, farmId }: { readonly shareIds: readonly ShareId[]; readonly farmId: string },
): Promise<number> {
  const asked = [...new Set(shareIds)];
  const row = await db('shares')
    .join('animals', 'animals.id', 'shares.animalId')
    .whereIn('shares.id', asked)
    .where('animals.farmId', farmId)
    .count({ many: '*' })
    .first();
  return asked.length - Number(row!.many);
}

/** Whether an animal with this tag is still in the shop. */
export async function isTagInShop(db: Database, tag: string): Promise<boolean> {
  return (await db('shareStages').where({ tag }).whereNotIn('stage', ENDED).first('number')) !== undefined;
}

/** Of a word that half the shop carries, the newest are looked at. */
const MOST_MATCHES = 200;

/**
 * Shares found by the beginnings of words: names, tag, farm, order number, ends of telephone numbers. What is still
 * in the shop comes first, then the newest.
 */
export async function findShares(db: Database, said: string, limit: number): Promise<StageRow[]> {
  const words = said.split(/\s+/).flatMap((word) => {
    const plain = word.replace(/[^\p{L}\p{N}]+/gu, ' ').trim();
    return plain === '' ? [] : [`"${plain}" *`];
  });
  if (words.length === 0) return [];
  const found = db('stageWords')
    .whereRaw('stageWords MATCH ?', [words.join(' AND ')])
    .orderBy('rowid', 'desc')
    .limit(MOST_MATCHES)
    .select('rowid');
  const rows = await db('shareStages')
    .whereIn('number', found)
    .orderByRaw("stage IN ('gone', 'cancelled'), number DESC")
    .limit(limit);
  return rows.map(fromStored);
}

/** Where every share stands that still waits for something; the longest waiting first. */
export async function liveRows(db: Database): Promise<StageRow[]> {
  const rows = await db('shareStages')
    .whereRaw("stage <> 'gone'")
    .whereNot({ stage: 'cancelled' })
    .orderBy([{ column: 'since' }, { column: 'number' }]);
  return rows.map(fromStored);
}

/** What has gone home since an instant, the latest first. */
export async function goneSince(db: Database, since: string): Promise<StageRow[]> {
  const rows = await db('shareStages')
    .where({ stage: 'gone' })
    .where('since', '>=', since)
    .orderBy('since', 'desc');
  return rows.map(fromStored);
}

/** How many shares there are, and of how many it is written where they stand. */
export async function countRows(db: Database): Promise<{ shares: number; staged: number }> {
  const [shares] = await db('shares').count({ all: '*' });
  const [staged] = await db('shareStages').count({ all: '*' });
  return { shares: Number(shares!.all), staged: Number(staged!.all) };
}

/** Live shares on which nothing is decided yet: they stand on the shop's set-up of today. */
export async function sharesWithoutSheet(db: Database): Promise<ShareId[]> {
  return db('shareStages')
    .where({ hasSheet: false })
    .whereNotIn('stage', ENDED)
    .orderBy('number')
    .pluck('shareId');
}

/**
 * Shares that are not on the block yet: their plans follow what the shop learns.
 *
 * @param species - of one species only; of all when absent
 */
export async function sharesBeforeTheBlock(db: Database, species?: string): Promise<ShareId[]> {
  return db('shareStages')
    .where({ onBlock: false })
    .whereNotIn('stage', ENDED)
    .modify((query) =>
      species === undefined
        ? query
        : query.whereIn('animalId', db('animals').where({ species }).select('id')),
    )
    .orderBy('number')
    .pluck('shareId');
}
