import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * What is to be made of a share is made anew while it is cut: when something is done otherwise, and when something is
 * found on its side or that is withdrawn. The last one holds.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('remadePlans', (table) => {
    table.increments('number');
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    // The row because of which it was made anew.
    table.text('causeId').notNullable();
    table.json('plan').notNullable();
  });
  await db.raw(
    `INSERT INTO remadePlans (shareId, causeId, plan) SELECT shareId, id, plan FROM deviations ORDER BY rowid`,
  );
  await db.raw('ALTER TABLE deviations DROP COLUMN plan');
  await appendOnly(db, 'remadePlans');
}
