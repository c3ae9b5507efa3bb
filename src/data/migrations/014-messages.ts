import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What was sent to people: written by the shop, delivered by the simulated gateway, never changed. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('messages', (table) => {
    table.text('id').primary();
    table.text('kind').notNullable().checkIn(['text', 'mail']);
    table.text('recipient').notNullable();
    table.text('name').notNullable();
    table.text('subject').notNullable();
    table.text('body').notNullable();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.text('at').notNullable().index();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'messages');
}
