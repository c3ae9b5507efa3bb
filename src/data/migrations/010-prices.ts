import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * Price lists in hand: each begins as a copy of a list, gathers changes that stand and can be taken back one by one, and
 * ends in force or put away.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('priceDrafts', (table) => {
    table.text('id').primary();
    table.text('baseId').notNullable().references('id').inTable('priceLists');
    table.text('name').notNullable();
    table.text('effectiveFrom').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'priceDrafts');
  await db.schema.createTable('priceChanges', (table) => {
    table.increments('number');
    table.text('id').notNullable().unique();
    table.text('draftId').notNullable().references('id').inTable('priceDrafts').index();
    table.text('change').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'priceChanges');
  await db.schema.createTable('priceChangesTakenBack', (table) => {
    table.text('changeId').primary().references('id').inTable('priceChanges');
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'priceChangesTakenBack');
  await db.schema.createTable('priceDraftEnds', (table) => {
    table.text('draftId').primary().references('id').inTable('priceDrafts');
    table.text('listId').references('id').inTable('priceLists');
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'priceDraftEnds');
}
