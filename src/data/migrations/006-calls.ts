import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What was said on the telephone about a share. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('calls', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.text('shareId').notNullable().references('id').inTable('shares');
    table.text('reached').notNullable().checkIn(['spoken', 'message', 'nobody']);
    table.text('said').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('actorName').notNullable();
    table.index(['shareId']);
  });
  await appendOnly(db, 'calls');
}
