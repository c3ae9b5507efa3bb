import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What was found on a side, with photographs; a finding stands until it is withdrawn, and both are rows. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('photos', (table) => {
    table.text('id').primary();
    table.text('sideId').notNullable().references('id').inTable('sides').index();
    table.binary('jpeg').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await db.schema.createTable('found', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.text('sideId').notNullable().references('id').inTable('sides').index();
    for (const column of ['kind', 'decision', 'note']) table.text(column).notNullable();
    table.integer('weight');
    table.float('measure');
    table.text('photoId').references('id').inTable('photos');
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await db.schema.createTable('foundWithdrawn', (table) => {
    table.text('foundId').primary().references('id').inTable('found');
    table.text('sideId').notNullable().references('id').inTable('sides').index();
    table.text('reason').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  for (const table of ['photos', 'found', 'foundWithdrawn']) await appendOnly(db, table);
}
