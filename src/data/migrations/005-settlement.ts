import type { Knex } from 'knex';
import { appendOnly } from './append';

/** The end of an order: the closed balance with its frozen bill, the money, and who took the boxes. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('closings', (table) => {
    table.text('shareId').primary().references('id').inTable('shares');
    table.text('clientId').notNullable().unique();
    table.json('bill').notNullable();
    table.text('note').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await db.schema.createTable('payments', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.text('shareId').notNullable().references('id').inTable('shares');
    table.integer('amount').notNullable();
    table.text('method').notNullable().checkIn(['cash', 'card', 'transfer']);
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.index(['shareId']);
  });
  await db.schema.createTable('pickUps', (table) => {
    table.text('shareId').primary().references('id').inTable('shares');
    table.text('clientId').notNullable().unique();
    table.text('takenBy').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  for (const table of ['closings', 'payments', 'pickUps']) await appendOnly(db, table);
}
