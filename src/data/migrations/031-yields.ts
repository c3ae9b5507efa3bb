import type { Knex } from 'knex';

/**
 * What each finished share gave, worked out once when it is closed: a projection, made anew when the way it is worked
 * out changes.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('yields', (table) => {
    table.text('shareId').primary().references('id').inTable('shares');
    table.text('species').notNullable();
    table.text('closedOn').notNullable();
    table.integer('version').notNullable();
    table.json('row').notNullable();
    table.index(['species', 'closedOn']);
  });
}
