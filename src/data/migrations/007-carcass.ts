import type { Knex } from 'knex';

/** How a carcass is broken and what is known of it: school, break places, condition. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('animals', (table) => {
    table.json('carcass').notNullable().defaultTo('{}');
  });
}
