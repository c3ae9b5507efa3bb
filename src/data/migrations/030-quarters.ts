import type { Knex } from 'knex';
import { appendOnly } from './append';

/** What is weighed on the rail besides sides: each quarter where a side was parted, and the animal before its kill. */
export async function up(db: Knex): Promise<void> {
  const weighed = (table: Knex.CreateTableBuilder) => {
    table.text('id').primary();
    table.text('clientId').notNullable();
    table.integer('gross').notNullable();
    table.integer('tare').notNullable();
    table.text('origin').notNullable().checkIn(['scale', 'typed']);
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  };
  await db.schema.createTable('quarterWeights', (table) => {
    weighed(table);
    table.text('sideId').notNullable().references('id').inTable('sides').index();
    table.text('quarter').notNullable().checkIn(['fore', 'hind']);
    table.text('kind').notNullable().checkIn(['hot', 'cold']);
  });
  await db.schema.createTable('liveWeights', (table) => {
    weighed(table);
    table.text('animalId').notNullable().references('id').inTable('animals').index();
  });
  for (const table of ['quarterWeights', 'liveWeights']) await appendOnly(db, table);
}
