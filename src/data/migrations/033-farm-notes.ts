import type { Knex } from 'knex';
import { appendOnly } from './append';

/** How a cut of a farm's animals sold, and what the farm wants to be told of it next time; the last word holds. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('farmNotes', (table) => {
    table.increments('number');
    table.text('clientId').notNullable();
    table.text('farmId').notNullable().references('id').inTable('people').index();
    table.text('species').notNullable();
    table.text('cut').notNullable();
    table.text('pace').notNullable().checkIn(['', 'slowly', 'fast']);
    table.text('note').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'farmNotes');
}
