import type { Knex } from 'knex';

/** What the shop notes of a household or a farm, and which of two that were the same stands for both. */
export async function up(db: Knex): Promise<void> {
  await db.raw("ALTER TABLE people ADD COLUMN notes TEXT NOT NULL DEFAULT ''");
  await db.raw('ALTER TABLE people ADD COLUMN mergedInto TEXT REFERENCES people(id)');
}
