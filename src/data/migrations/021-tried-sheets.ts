import type { Knex } from 'knex';

/**
 * The shop's telephone, for the pages of its customers; and sheets that somebody tried before booking, found by a code
 * until their day: nobody's name is with them.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('shop', (table) => {
    table.text('phone');
  });
  await db.schema.createTable('triedSheets', (table) => {
    table.text('code').primary();
    table.text('species').notNullable();
    table.json('sheet').notNullable();
    table.text('at').notNullable();
    table.text('expiresAt').notNullable().index();
  });
}
