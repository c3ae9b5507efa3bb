import type { Knex } from 'knex';
import { appendOnly } from './append';

/** Batches of the grind room, one to a line of a share, and everything that was done to them. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('grindBatches', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.text('shareId').notNullable().references('id').inTable('shares');
    table.text('lineKey').notNullable();
    table.json('recipe').notNullable();
    table.text('lot').notNullable().unique();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.unique(['shareId', 'lineKey']);
  });
  await db.schema.createTable('grindEvents', (table) => {
    table.increments('number');
    table.text('id').notNullable().unique();
    table.text('clientId').notNullable().unique();
    table.text('batchId').notNullable().references('id').inTable('grindBatches').index();
    table.text('kind').notNullable();
    table.json('deed').notNullable();
    /** What lay on which scale; empty where nothing was weighed. */
    table.text('scaleId').notNullable();
    table.text('loadId').notNullable();
    table.text('transactionId').unique().references('id').inTable('ledgerTransactions');
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.index(['scaleId', 'loadId']);
  });
  // A lot is looked for rarely, and then in a hurry.
  await db.raw('CREATE INDEX grindBatches_lot ON grindBatches(lower(lot))');
  await db.raw("CREATE INDEX grindEvents_lot ON grindEvents(lower(json_extract(deed, '$.lot')))");
  for (const table of ['grindBatches', 'grindEvents']) await appendOnly(db, table);
}
