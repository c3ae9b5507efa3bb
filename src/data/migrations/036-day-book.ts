import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What an inspector asks for beside the work itself: cleaning, ingredients that came in, drills of a recall, days that were signed. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('cleanings', (table) => {
    said(table);
    table.text('place').notNullable();
    table.text('what').notNullable();
    table.integer('minutes');
  });
  await db.schema.createTable('ingredientLots', (table) => {
    said(table);
    table.text('ingredient').notNullable().index();
    table.text('lot').notNullable();
    table.text('supplier').notNullable();
    table.integer('tenths').notNullable();
    table.text('bestBy');
  });
  await db.schema.createTable('daySignings', (table) => {
    said(table);
    table.text('day').notNullable().index();
    table.text('words').notNullable();
  });
  await db.schema.createTable('recallDrills', (table) => {
    said(table);
    table.text('words').notNullable();
    table.integer('households').notNullable();
    table.integer('packs').notNullable();
  });
  await db.schema.createTable('recallDrillEvents', (table) => {
    said(table);
    table.text('drillId').notNullable().references('id').inTable('recallDrills').index();
    table.text('kind').notNullable().checkIn(['reached', 'ended']);
    table.text('shareId').references('id').inTable('shares');
  });
  for (const table of ['cleanings', 'ingredientLots', 'daySignings', 'recallDrills', 'recallDrillEvents']) {
    await appendOnly(db, table);
  }
  // A day is looked up at the same cost however long the history.
  for (const table of [
    'sideWeights',
    'deepTemperatures',
    'railEvents',
    'grindEvents',
    'weighingVoids',
    'corrections',
  ]) {
    await db.raw(`CREATE INDEX ${table}_at ON ${table}(at)`);
  }
  for (const table of ['grindBatches', 'cureMixes', 'cures', 'smokeLoads']) {
    await db.raw(`CREATE INDEX ${table}_at ON ${table}(at)`);
  }
}

function said(table: Knex.CreateTableBuilder): void {
  table.text('id').primary();
  table.text('clientId').notNullable().unique();
  table.text('at').notNullable().index();
  table.text('actorId').notNullable();
}
