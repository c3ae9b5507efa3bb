import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * How the shop is set up, step by step, for ever; a share keeps the step that its sheet was begun under. Orders of
 * before stand on step 0: as it was.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('setUpSteps', (table) => {
    table.increments('number');
    table.text('change').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('actorName').notNullable();
  });
  await appendOnly(db, 'setUpSteps');
  await db.raw('ALTER TABLE shares ADD COLUMN setUpNumber INTEGER NOT NULL DEFAULT 0');
}
