import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * Private links: only a hash of the token is kept. A link ends by its day or because somebody ends it. And what
 * households sent to the shop, each a version of their sheet.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('links', (table) => {
    table.text('id').primary();
    table.text('tokenHash').notNullable().unique();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.boolean('prices').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('expiresAt').notNullable();
    table.text('endedAt');
  });
  await db.schema.createTable('sheetSends', (table) => {
    table.text('id').primary();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.integer('version').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'sheetSends');
}
