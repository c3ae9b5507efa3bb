import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What is done to a share between rail and freezer: tickets, sheets, the block, weighings and their labels. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('sideWeights', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.text('sideId').notNullable().references('id').inTable('sides');
    table.text('kind').notNullable().checkIn(['hot', 'cold']);
    table.integer('gross').notNullable();
    table.integer('tare').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('transactionId').references('id').inTable('ledgerTransactions');
  });
  await db.schema.createTable('sheets', (table) => {
    table.text('shareId').notNullable().references('id').inTable('shares');
    table.integer('version').notNullable();
    table.json('sheet').notNullable();
    table.boolean('approved').notNullable();
    table.text('overrideReason');
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.primary(['shareId', 'version']);
  });
  await db.schema.createTable('blockStarts', (table) => {
    table.text('shareId').primary().references('id').inTable('shares');
    table.integer('sheetVersion').notNullable();
    table.json('estimate').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await db.schema.createTable('weighings', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.integer('serial').notNullable().unique();
    table.text('shareId').notNullable().references('id').inTable('shares');
    table.text('kind').notNullable().checkIn(['package', 'green', 'tub', 'barrel']);
    table.text('source').notNullable();
    table.text('lineKey').notNullable();
    table.text('cut').notNullable();
    table.text('destination').notNullable();
    table.integer('pieces');
    table.integer('gross').notNullable();
    table.integer('tare').notNullable();
    table.integer('net').notNullable();
    table.text('scaleId').notNullable();
    table.text('loadId').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('transactionId').notNullable().unique().references('id').inTable('ledgerTransactions');
    table.index(['shareId']);
    table.index(['scaleId', 'loadId']);
  });
  await db.schema.createTable('weighingVoids', (table) => {
    table.text('weighingId').primary().references('id').inTable('weighings');
    table.text('clientId').notNullable().unique();
    table.text('reason').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('transactionId').notNullable().unique().references('id').inTable('ledgerTransactions');
  });
  await db.schema.createTable('labelJobs', (table) => {
    table.text('id').primary();
    table.text('weighingId').notNullable().references('id').inTable('weighings');
    table.integer('copy').notNullable();
    table.text('clientId').notNullable().unique();
    table.json('label').notNullable();
    table.text('file');
    table.text('at').notNullable();
    table.unique(['weighingId', 'copy']);
  });
  await db.schema.createTable('lineNotes', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.text('shareId').notNullable().references('id').inTable('shares');
    table.text('lineKey').notNullable();
    table.text('note').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.index(['shareId']);
  });
  for (const table of ['sideWeights', 'sheets', 'blockStarts', 'weighings', 'weighingVoids', 'lineNotes']) {
    await appendOnly(db, table);
  }
}
