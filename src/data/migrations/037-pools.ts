import type { Knex } from 'knex';
import { appendOnly } from './append';

/** Batches of several owners' meat, and what each owner has said to it in writing. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('grindBatches', (table) => {
    table.text('poolId').index();
  });
  await db.schema.createTable('poolWords', (table) => {
    table.increments('number');
    table.text('id').notNullable().unique();
    table.text('clientId').notNullable().unique();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.boolean('yes').notNullable();
    table.text('name').notNullable();
    table.text('how').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'poolWords');
}
