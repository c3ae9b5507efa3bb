import type { Knex } from 'knex';

/** Sheets of the shop that can be taken by name; one that is not used any more is ended. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('sheetTemplates', (table) => {
    table.text('id').primary();
    table.text('species').notNullable().index();
    table.text('name').notNullable();
    table.json('sheet').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('endedAt');
  });
}
