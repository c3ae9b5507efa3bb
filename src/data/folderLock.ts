import Driver from 'better-sqlite3';
import { closeSync, mkdirSync, openSync } from 'node:fs';
import { join } from 'node:path';

/** Held as long as the process that took it lives, or until it is released. */
export type FolderLock = { readonly release: () => void };

/**
 * Takes a data folder for this process alone. The lock is the operating system's: it ends with the process, however
 * that ends, so that nothing has to be tidied up after a crash.
 *
 * @returns undefined when another process holds it
 */
export function lockFolder(folder: string): FolderLock | undefined {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, 'fractum.lock');
  closeSync(openSync(/* turbopackIgnore: true */ file, 'a', 0o600));
  const db = new Driver(file, { timeout: 0 });
  try {
    db.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    db.close();
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) return undefined;
    throw error;
  }
  return { release: () => db.close() };
}
