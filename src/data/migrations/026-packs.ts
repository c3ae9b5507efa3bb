import type { Knex } from 'knex';

/** A cut that was put into the pack of another: both have their own weighing, one label says both. */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE weighings ADD COLUMN onto TEXT REFERENCES weighings(id)');
}
