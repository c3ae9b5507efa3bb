import type { Knex } from 'knex';
import { appendOnly } from './append';

/** Sheets that were changed after they had been approved, each with the reason and the version that was approved. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('sheetReopenings', (table) => {
    table.text('id').primary();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.integer('version').notNullable();
    table.text('reason').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'sheetReopenings');
}
