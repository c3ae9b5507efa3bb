import { statfs } from 'node:fs/promises';
import { dataFolder } from '@/data/database';
import { NEWEST_STEP } from '@/data/migrations';
import { labelBacklog } from '@/data/wrap';
import { usualSurroundings } from '../house/surroundings';

export type Health = {
  readonly ok: boolean;
  /** What is wrong, in words for whoever keeps the machine. */
  readonly problems: readonly string[];
  readonly freeMb: number;
  /** Labels that wait for the printer, and those set aside as unprintable. */
  readonly labels: { readonly waiting: number; readonly setAside: number };
};

/** Less than this is a day's work of a busy shop, with its backup. */
const LEAST_FREE_MB = 200;

/** Anybody may ask, as often as they like: the shop is looked at once a second at most. */
const LOOKED_AT_EVERY_MS = 1000;

let last: { readonly at: number; readonly health: Promise<Health> } | undefined;

/** Whether the shop can work now: the newest schema, room on the disk, and a writer that gets through. */
export function healthOf(): Promise<Health> {
  const now = Date.now();
  if (!last || now - last.at > LOOKED_AT_EVERY_MS) last = { at: now, health: lookAt() };
  return last.health;
}

async function lookAt(): Promise<Health> {
  const problems: string[] = [];
  const check = async <T>(problem: string, otherwise: T, work: () => Promise<T>): Promise<T> => {
    try {
      return await work();
    } catch {
      problems.push(problem);
      return otherwise;
    }
  };
  const { db } = usualSurroundings();
  const newest = await check('the database does not answer', '', async () => {
    const row = await db('knex_migrations').orderBy('id', 'desc').first('name');
    return row?.name as string;
  });
  if (newest !== NEWEST_STEP && problems.length === 0) problems.push('the database is of another version');
  await check('nothing can be written', undefined, () => writes(db));
  const labels = await check('the labels cannot be read', { waiting: 0, setAside: 0 }, () =>
    labelBacklog(db),
  );
  const freeMb = await check('the disk cannot be asked', 0, async () => {
    const { bavail, bsize } = await statfs(dataFolder());
    return Math.floor((bavail * bsize) / 1_048_576);
  });
  if (freeMb < LEAST_FREE_MB) problems.push(`only ${freeMb} MB are free on the disk`);
  return { ok: problems.length === 0, problems, freeMb, labels };
}

/** Writes where nothing is kept, so that a full or locked disk is found before a weighing finds it. */
async function writes(db: ReturnType<typeof usualSurroundings>['db']): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('heartbeat').insert({ id: 1, at: new Date().toISOString() }).onConflict('id').merge();
  });
}
