import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What is done at the block: steps of the break, pieces weighed as they come off, what was done otherwise and why. */
export async function up(db: Knex): Promise<void> {
  const hands = ['left', 'right', 'both'];
  const byWhom = (table: Knex.CreateTableBuilder) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.text('hand').notNullable().checkIn(hands);
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  };
  await db.schema.createTable('blockSteps', (table) => {
    byWhom(table);
    table.text('step').notNullable();
    table.boolean('done').notNullable();
  });
  await db.schema.createTable('pieceWeights', (table) => {
    byWhom(table);
    table.text('piece').notNullable();
    // Taken back: what was weighed before does not count any more.
    table.boolean('counts').notNullable();
    for (const column of ['gross', 'tare', 'net']) table.integer(column).notNullable();
    for (const column of ['scaleId', 'loadId', 'origin', 'remark']) table.text(column).notNullable();
    table.index(['scaleId', 'loadId']);
  });
  await db.schema.createTable('deviations', (table) => {
    byWhom(table);
    for (const column of ['decision', 'reason', 'doneAs', 'asked', 'done']) table.text(column).notNullable();
    table.integer('weight');
    // What is to be made from here on, in place of what was frozen before.
    table.json('plan').notNullable();
  });
  for (const table of ['blockSteps', 'pieceWeights', 'deviations']) await appendOnly(db, table);
}
