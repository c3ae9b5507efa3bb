import type { Knex } from 'knex';

/** Others who can be reached for a household or a farm; one who cannot any more stays in the book with its day. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('contacts', (table) => {
    table.text('id').primary();
    table.text('personId').notNullable().references('id').inTable('people').index();
    table.text('name').notNullable();
    table.text('phone');
    table.text('email');
    table.text('at').notNullable();
    table.text('endedAt');
  });
}
