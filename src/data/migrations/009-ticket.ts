import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * What was booked can be corrected, called off and sold again: each correction and cancellation is a row that stands, a
 * half that was called off is free for somebody else, and the projection knows when a share is due.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('corrections', (table) => {
    table.text('id').primary();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.text('field').notNullable();
    table.text('was').notNullable();
    table.text('now').notNullable();
    table.text('reason').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'corrections');
  await db.schema.createTable('cancellations', (table) => {
    table.text('shareId').primary().references('id').inTable('shares');
    table.text('reason').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'cancellations');
  await db.raw('ALTER TABLE shares ADD COLUMN cancelled INTEGER NOT NULL DEFAULT 0');
  // A part that was called off can be sold again; two live shares never hold the same part.
  for (const column of ['position', 'part']) {
    await db.raw(`DROP INDEX shares_animalid_${column}_unique`);
    await db.raw(
      `CREATE UNIQUE INDEX shares_live_${column} ON shares(animalId, ${column}) WHERE cancelled = 0`,
    );
  }
  await db.schema.createTable('noteReads', (table) => {
    table.text('shareId').notNullable().references('id').inTable('shares');
    table.text('actorId').notNullable();
    table.text('at').notNullable();
    table.primary(['shareId', 'actorId']);
  });
  await appendOnly(db, 'noteReads');
  await dueDates(db);
}

/** A projection may be thrown away: it is worked out anew at the first start. */
async function dueDates(db: Knex): Promise<void> {
  await db('shareStages').delete();
  await db('stageWords').delete();
  for (const column of ['chillsUntil', 'targetDay', 'longestDay', 'cureSince', 'phone', 'question']) {
    await db.raw(`ALTER TABLE shareStages ADD COLUMN ${column} TEXT NOT NULL DEFAULT ''`);
  }
  await db.raw('ALTER TABLE shareStages ADD COLUMN coldWeighed INTEGER NOT NULL DEFAULT 0');
}
