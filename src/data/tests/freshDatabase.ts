import { migrate, openDatabase, type Database } from '../database';

/** An empty database of the newest shape, in memory. */
export async function freshDatabase(): Promise<Database> {
  const db = openDatabase(':memory:');
  await migrate(db);
  return db;
}
