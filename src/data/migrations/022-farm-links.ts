import type { Knex } from 'knex';

/** A link opens one share or one farm; the links of before, each to a share, are carried over. */
export async function up(db: Knex): Promise<void> {
  await db.schema.renameTable('links', 'linksBefore');
  await db.schema.createTable('links', (table) => {
    table.text('id').primary();
    table.text('tokenHash').notNullable();
    table.text('shareId').references('id').inTable('shares');
    table.text('farmId').references('id').inTable('people');
    table.boolean('prices').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('expiresAt').notNullable();
    table.text('endedAt');
    table.check('(shareId IS NULL) <> (farmId IS NULL)');
  });
  await db.raw(
    `INSERT INTO links (id, tokenHash, shareId, prices, at, actorId, expiresAt, endedAt)
     SELECT id, tokenHash, shareId, prices, at, actorId, expiresAt, endedAt FROM linksBefore ORDER BY rowid`,
  );
  await db.schema.dropTable('linksBefore');
  await db.schema.alterTable('links', (table) => {
    table.unique(['tokenHash']);
    table.index(['shareId']);
    table.index(['farmId']);
  });
}
