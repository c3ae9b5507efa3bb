import Driver from 'better-sqlite3';
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { failure, success, type Result } from '@/core/quantity/result';

/**
 * Copies a shop's database while it is in use; the copy is whole as of one moment.
 *
 * @param copy - must not exist yet: a backup never replaces another
 */
export async function backUp(file: string, copy: string): Promise<Result<true, 'no-shop' | 'taken'>> {
  if (!existsSync(file)) return failure('no-shop', `There is no shop at ${file}.`);
  if (existsSync(copy))
    return failure('taken', `${copy} exists already. Name another file; nothing was written.`);
  mkdirSync(dirname(copy), { recursive: true });
  const db = new Driver(file, { readonly: true });
  try {
    await db.backup(copy);
  } finally {
    db.close();
  }
  return success(true);
}

/** Why a file cannot be a shop's database. */
function whyNotAShop(file: string): string | undefined {
  if (!existsSync(file)) return `There is no file ${file}.`;
  try {
    const db = new Driver(file, { readonly: true });
    try {
      if (db.pragma('integrity_check', { simple: true }) !== 'ok') return `${file} is damaged.`;
      const { gap } = db.prepare('SELECT TOTAL(weight) AS gap FROM ledgerPostings').get() as { gap: number };
      if (gap !== 0) return `The weight ledger in ${file} does not add up.`;
      return db.prepare('SELECT id FROM shop').get() ? undefined : `${file} holds no shop.`;
    } finally {
      db.close();
    }
  } catch {
    return `${file} is not a Fractum database.`;
  }
}

/**
 * Puts a backup in place of the shop's database. The app must be stopped. What was there is moved aside, not
 * removed.
 *
 * @returns where the earlier database is kept; null when there was none
 */
export async function restore(
  copy: string,
  file: string,
  now: Date,
): Promise<Result<{ kept: string | null }, 'not-a-shop'>> {
  const why = whyNotAShop(copy);
  if (why) return failure('not-a-shop', `${why} Nothing was changed.`);
  const kept = existsSync(file) ? `${file}.before-${now.toISOString().replace(/[:.]/g, '-')}` : null;
  if (kept) {
    const old = new Driver(file);
    old.pragma('wal_checkpoint(TRUNCATE)');
    old.close();
    renameSync(file, kept);
  }
  for (const rest of ['-wal', '-shm']) rmSync(`${file}${rest}`, { force: true });
  mkdirSync(dirname(file), { recursive: true });
  const source = new Driver(copy, { readonly: true });
  try {
    await source.backup(file);
  } finally {
    source.close();
  }
  return success({ kept });
}
