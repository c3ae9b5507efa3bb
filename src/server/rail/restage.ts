import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { brokenRow, stageRowOf, type StageRow } from '@/core/order/stageRow';
import { allShareIds } from '@/data/book';
import type { Database } from '@/data/database';
import { readShareFile, readShareFiles, shareAlone, writeStage } from '@/data/rail';
import type { SetUps } from '@/data/setUp';
import { log } from '../house/log';

/**
 * Works out where shares stand and writes it down; in the transaction of what touched them.
 *
 * @param touched - with the file each has become, where that is known; it is read otherwise
 */
export async function restage(
  db: Database,
  setUps: SetUps,
  touched: ReadonlyMap<ShareId, ShareFile | undefined>,
): Promise<void> {
  const unknown = [...touched].flatMap(([shareId, file]) => (file ? [] : [shareId]));
  const read = await readTogether(db, setUps, unknown);
  for (const [shareId, file] of touched) {
    const row = file ? stageRowOf(file) : await freshRow(db, setUps, shareId, read.get(shareId));
    if (row) await writeStage(db, row);
  }
}

/** Files of many shares read at once; none where one of them cannot be read: each is then read by itself. */
async function readTogether(
  db: Database,
  setUps: SetUps,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, ShareFile>> {
  try {
    const files = await readShareFiles(db, setUps, shareIds);
    return new Map(files.map((file) => [file.share.id, file]));
  } catch {
    return new Map();
  }
}

/** Shares whose files have to be read. */
export function unread(shareIds: readonly ShareId[]): ReadonlyMap<ShareId, undefined> {
  return new Map(shareIds.map((shareId) => [shareId, undefined]));
}

/**
 * Where a share stands, worked out anew; undefined when there is no such share.
 *
 * @param known - its file, where it was read already
 */
export async function freshRow(
  db: Database,
  setUps: SetUps,
  shareId: ShareId,
  known?: ShareFile,
): Promise<StageRow | undefined> {
  try {
    const file = known ?? (await readShareFile(db, setUps, shareId));
    return file && stageRowOf(file);
  } catch (error) {
    log().error({ error, shareId }, 'a share cannot be worked out');
    const alone = await shareAlone(db, shareId);
    return alone && brokenRow(alone, error instanceof Error ? error.message : String(error));
  }
}

/** Shares that are worked out anew between two commits: a long history does not hold the file for long. */
const AT_A_TIME = 100;

/** Makes the whole projection anew. @returns how many shares */
export async function restageAll(db: Database, setUps: SetUps): Promise<number> {
  const shareIds = await allShareIds(db);
  for (let start = 0; start < shareIds.length; start += AT_A_TIME) {
    await db.transaction((trx) => restage(trx, setUps, unread(shareIds.slice(start, start + AT_A_TIME))));
  }
  return shareIds.length;
}
