import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What was said of the weeks ahead: hours, promises, pins and plans, the last word of each holding. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('weekEvents', (table) => {
    table.increments('number');
    table.text('id').notNullable().unique();
    table.text('clientId').notNullable().unique();
    table.text('kind').notNullable();
    table.json('word').notNullable();
    table.text('at').notNullable().index();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'weekEvents');
}
