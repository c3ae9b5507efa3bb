import type { Knex } from 'knex';

/** Where a share stands says what to ask about it besides; the projection is made anew at the start. */
export async function up(db: Knex): Promise<void> {
  await db('stageWords').delete();
  await db('shareStages').delete();
  await db.raw('ALTER TABLE shareStages ADD COLUMN doubts INTEGER NOT NULL DEFAULT 0');
  await db.raw("ALTER TABLE shareStages ADD COLUMN doubt TEXT NOT NULL DEFAULT ''");
}
