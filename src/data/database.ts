import knex, { type Knex } from 'knex';
import { closeSync, mkdirSync, openSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { migrationSource } from './migrations';

/** The shop's database, or a transaction on it. */
export type Database = Knex;

/** How long a writer waits for another process to finish, milliseconds. */
const BUSY_TIMEOUT_MS = 5000;

/** The folder that holds everything the shop has written; FRACTUM_DATA, outside the source. */
export function dataFolder(): string {
  return resolve(/* turbopackIgnore: true */ process.env.FRACTUM_DATA ?? 'data/shop');
}

/** The file of the database inside a data folder. */
export function databaseFile(folder: string = dataFolder()): string {
  return join(folder, 'fractum.db');
}

/** The part of the driver's connection that is set up here. */
type Connection = { pragma(statement: string): unknown };

/**
 * Opens a database; makes its folder when it is not there.
 *
 * @param file - `:memory:` for one that lives as long as it is open
 */
export function openDatabase(file: string = databaseFile()): Database {
  if (file !== ':memory:') {
    mkdirSync(resolve(file, '..'), { recursive: true, mode: 0o700 });
    // Telephone numbers and hashes of secrets are nobody else's on this machine; the log files get the same mode.
    closeSync(openSync(/* turbopackIgnore: true */ file, 'a', 0o600));
  }
  return knex({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate(connection: Connection, done: (error: Error | null, connection: Connection) => void) {
        connection.pragma('journal_mode = WAL');
        connection.pragma('synchronous = FULL');
        connection.pragma('foreign_keys = ON');
        connection.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
        done(null, connection);
      },
    },
  });
}

/** Brings a database forward to the newest shape. Migrations only go forward. */
export async function migrate(db: Database): Promise<void> {
  await db.migrate.latest({ migrationSource });
}

const holder = globalThis as { fractumDatabase?: Database };

/** The one open database of this process; kept when modules are loaded again. */
export function sharedDatabase(): Database {
  holder.fractumDatabase ??= openDatabase();
  return holder.fractumDatabase;
}

/** Another number whenever another connection has written to the file; this one's own writing does not change it. */
export async function dataVersion(db: Database): Promise<number> {
  const [row]: { data_version: number }[] = await db.raw('PRAGMA data_version');
  return row!.data_version;
}
