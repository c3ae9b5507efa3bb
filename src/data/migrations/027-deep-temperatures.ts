import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What a probe read inside a side while it hung. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('deepTemperatures', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable();
    table.text('sideId').notNullable().references('id').inTable('sides').index();
    table.integer('tenthsF').notNullable();
    table.text('origin').notNullable().checkIn(['probe', 'typed']);
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'deepTemperatures');
}
