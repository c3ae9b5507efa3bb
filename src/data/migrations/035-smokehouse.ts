import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * Brines and rubs, pieces in their cure, loads of the smokehouse, and everything that was done to any of them; what the
 * probe said in a load.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('cureMixes', (table) => {
    begun(table);
    table.json('recipe').notNullable();
    table.integer('makes').notNullable();
    table.text('weighingId').references('id').inTable('weighings').index();
    table.boolean('skinOn').notNullable();
  });
  await db.schema.createTable('cures', (table) => {
    begun(table);
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.text('lineKey').notNullable();
    table.text('weighingId').notNullable().unique().references('id').inTable('weighings');
    table.text('mixId').notNullable().references('id').inTable('cureMixes').index();
    table.json('recipe').notNullable();
    table.float('thicknessIn').notNullable();
    table.boolean('skinOn').notNullable();
    table.integer('green').notNullable();
    table.text('begun').notNullable();
    table.text('place').notNullable();
  });
  await db.schema.createTable('smokeLoads', (table) => {
    begun(table);
    table.json('plan').notNullable();
  });
  await db.schema.createTable('smokehouseEvents', (table) => {
    table.increments('number');
    table.text('id').notNullable().unique();
    table.text('clientId').notNullable().unique();
    /** What it was done to: a mix, a cure, a load. */
    table.text('of').notNullable();
    table.text('subjectId').notNullable().index();
    /** The piece that it is about; null where it is about none of its own. */
    table.text('weighingId').references('id').inTable('weighings').index();
    table.text('kind').notNullable();
    table.json('deed').notNullable();
    /** What lay on which scale; empty where nothing was weighed. */
    table.text('scaleId').notNullable();
    table.text('loadId').notNullable();
    table.text('at').notNullable().index();
    table.text('actorId').notNullable();
    table.index(['scaleId', 'loadId']);
  });
  await db.schema.createTable('smokeReadings', (table) => {
    table.text('smokeId').notNullable().references('id').inTable('smokeLoads');
    table.integer('minute').notNullable();
    table.integer('tenthsF').notNullable();
    /** By the probe, or by hand. */
    table.text('origin').notNullable();
    table.primary(['smokeId', 'minute']);
  });
  // A lot is looked for rarely, and then in a hurry.
  await db.raw("CREATE INDEX smokehouseEvents_lot ON smokehouseEvents(lower(json_extract(deed, '$.lot')))");
  for (const table of ['cureMixes', 'cures', 'smokeLoads']) {
    await db.raw(`CREATE INDEX ${table}_lot ON ${table}(lower(lot))`);
  }
  for (const table of ['cureMixes', 'cures', 'smokeLoads', 'smokehouseEvents', 'smokeReadings']) {
    await appendOnly(db, table);
  }
}

function begun(table: Knex.CreateTableBuilder): void {
  table.text('id').primary();
  table.text('clientId').notNullable().unique();
  table.text('lot').notNullable().unique();
  table.text('at').notNullable();
  table.text('actorId').notNullable();
}
