import type { Knex } from 'knex';

/** People of the shop may rest or leave: their name stays on everything they did. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE users ADD COLUMN state TEXT NOT NULL DEFAULT 'here'`);
}
