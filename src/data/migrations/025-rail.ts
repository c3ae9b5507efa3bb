import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What is done to a side while it hangs: hung at a foot of a rail, covered or bared, held or let go. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('railEvents', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable();
    table.text('sideId').notNullable().references('id').inTable('sides').index();
    table.text('kind').notNullable().checkIn(['moved', 'covered', 'bared', 'held', 'let go']);
    table.text('rail').notNullable();
    table.float('foot');
    table.text('reason').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'railEvents');
}
