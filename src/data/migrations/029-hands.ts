import type { Knex } from 'knex';
import { appendOnly } from './append';

/** How far each person has come at the block, and who cut, boned and trimmed what. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('blockLevels', (table) => {
    table.text('personId').notNullable().references('id').inTable('users').index();
    table.integer('level').notNullable().checkIn(['1', '2', '3']);
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await db.schema.createTable('handWork', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.text('hand').notNullable().checkIn(['left', 'right', 'both']);
    table.text('task').notNullable().checkIn(['cut', 'boned', 'trimmed']);
    table.text('personId').notNullable().references('id').inTable('users');
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  for (const table of ['blockLevels', 'handWork']) await appendOnly(db, table);
}
