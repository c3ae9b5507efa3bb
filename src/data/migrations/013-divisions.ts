import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * Every way in which an animal is sold: a quarter of a side, a part of one by percent, an animal that hangs in one
 * piece; and which household got which package where several are cut as one.
 */
export async function up(db: Knex): Promise<void> {
  // A quarter is kept beside its side: `part` says the side, `quarter` what of it.
  await db.raw(
    "ALTER TABLE shares ADD COLUMN quarter TEXT NOT NULL DEFAULT '' CHECK (quarter IN ('', 'fore', 'hind'))",
  );
  await db.raw('ALTER TABLE shares ADD COLUMN sharePct REAL NOT NULL DEFAULT 100');
  await db.raw("ALTER TABLE animals ADD COLUMN facts JSON NOT NULL DEFAULT '{}'");
  await db.raw('ALTER TABLE animals ADD COLUMN unsplit INTEGER NOT NULL DEFAULT 0');
  await db.raw('DROP INDEX shares_live_part');
  await db.raw(
    'CREATE UNIQUE INDEX shares_live_part ON shares(animalId, part, quarter) WHERE cancelled = 0 AND sharePct = 100',
  );
  await db.schema.createTable('allotments', (table) => {
    table.text('weighingId').primary().references('id').inTable('weighings');
    table.text('shareId').notNullable().references('id').inTable('shares').index();
  });
  await appendOnly(db, 'allotments');
}
