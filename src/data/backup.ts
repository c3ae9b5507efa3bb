import Driver from 'better-sqlite3';
import {
  chmodSync,
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { dirname } from 'node:path';
import { failure, success, type Result } from '@/core/quantity/result';
import { lockFolder } from './folderLock';
import { KNOWN_STEPS } from './migrations';

export type BackupProblem = 'no-shop' | 'taken' | 'not-written';
export type RestoreProblem = 'not-a-shop' | 'in-use' | 'not-written';

/**
 * Copies a shop's database while it is in use: whole, as of one moment, however much is written meanwhile. The copy
 * gets its name only when all of it is on disk.
 *
 * @param copy - must not exist yet: a backup never replaces another
 */
export async function backUp(file: string, copy: string): Promise<Result<true, BackupProblem>> {
  if (!existsSync(file)) return failure('no-shop', `There is no shop at ${file}.`);
  if (existsSync(copy)) {
    return failure('taken', `${copy} exists already. Name another file; nothing was written.`);
  }
  try {
    mkdirSync(dirname(copy), { recursive: true, mode: 0o700 });
    copyWhole(file, copy);
    return success(true);
  } catch (error) {
    return failure(
      'not-written',
      `The backup could not be written: ${(error as Error).message}. Is the disk full?`,
    );
  }
}

/** Writes a whole copy beside its name, and gives it the name when it is safe. */
function copyWhole(file: string, copy: string): void {
  const unfinished = `${copy}.part`;
  rmSync(unfinished, { force: true });
  try {
    const db = new Driver(file, { readonly: true });
    try {
      db.prepare('VACUUM INTO ?').run(unfinished);
    } finally {
      db.close();
    }
    chmodSync(unfinished, 0o600);
    flush(unfinished);
    renameSync(unfinished, copy);
    flush(dirname(copy));
  } finally {
    rmSync(unfinished, { force: true });
  }
}

function flush(path: string): void {
  const open = openSync(path, 'r');
  try {
    fsyncSync(open);
  } finally {
    closeSync(open);
  }
}

/** Why a file cannot be a shop's database; undefined when it can. */
function whyNotAShop(file: string): string | undefined {
  if (!existsSync(file)) return `There is no file ${file}.`;
  try {
    const db = new Driver(file, { readonly: true });
    try {
      return whyNotWhole(db, file) ?? whyNotOurs(db, file) ?? whyNotBalanced(db, file);
    } finally {
      db.close();
    }
  } catch {
    return `${file} is not a Fractum database.`;
  }
}

function whyNotWhole(db: Driver.Database, file: string): string | undefined {
  if (db.pragma('integrity_check', { simple: true }) !== 'ok') return `${file} is damaged.`;
  const hanging = db.pragma('foreign_key_check') as unknown[];
  return hanging.length > 0 ? `${file} refers to rows that are not there.` : undefined;
}

/** Every step this version knows up to the file's, and none besides: a file of a later version is not understood. */
function whyNotOurs(db: Driver.Database, file: string): string | undefined {
  const steps = db.prepare('SELECT name FROM knex_migrations ORDER BY id').pluck().all() as string[];
  const unknown = steps.find((step) => !KNOWN_STEPS.includes(step));
  if (unknown) return `${file} is of a later version of Fractum (${unknown}). Update the app first.`;
  if (steps.length === 0 || steps.some((step, at) => step !== KNOWN_STEPS[at])) {
    return `${file} is not a Fractum database.`;
  }
  return db.prepare('SELECT id FROM shop').get() ? undefined : `${file} holds no shop.`;
}

function whyNotBalanced(db: Driver.Database, file: string): string | undefined {
  const crooked = db
    .prepare(
      'SELECT transactionId FROM ledgerPostings GROUP BY transactionId HAVING SUM(weight) <> 0 LIMIT 1',
    )
    .get();
  return crooked ? `The weight ledger in ${file} does not add up.` : undefined;
}

/**
 * Puts a backup in place of the shop's database. Refused while the app works on it. The new file is complete and
 * checked before the old one is moved aside; whatever fails, one of the two is in place.
 *
 * @returns where the earlier database is kept; null when there was none
 */
export async function restore(
  copy: string,
  file: string,
  now: Date,
): Promise<Result<{ kept: string | null }, RestoreProblem>> {
  const why = whyNotAShop(copy);
  if (why) return failure('not-a-shop', `${why} Nothing was changed.`);
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const lock = lockFolder(dirname(file));
  if (!lock)
    return failure('in-use', `The app works on ${dirname(file)}. Stop it first; nothing was changed.`);
  try {
    return success({ kept: putInPlace(copy, file, now) });
  } catch (error) {
    const message = `The backup could not be put in place: ${(error as Error).message}. What was there is untouched.`;
    return failure('not-written', message);
  } finally {
    lock.release();
  }
}

function putInPlace(copy: string, file: string, now: Date): string | null {
  const arrived = `${file}.arriving`;
  rmSync(arrived, { force: true });
  copyWhole(copy, arrived);
  const kept = existsSync(file) ? `${file}.before-${now.toISOString().replace(/[:.]/g, '-')}` : null;
  if (kept) {
    const old = new Driver(file);
    old.pragma('wal_checkpoint(TRUNCATE)');
    old.close();
    renameSync(file, kept);
  }
  for (const rest of ['-wal', '-shm']) rmSync(`${file}${rest}`, { force: true });
  renameSync(arrived, file);
  flush(dirname(file));
  return kept;
}
