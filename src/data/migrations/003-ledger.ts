import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * The weight ledger. Postings are written first and their transaction last: the transaction's row seals them,
 * and the database refuses to seal postings that do not add up to zero, or to add one to a sealed transaction.
 * A posting whose transaction never comes fails at commit, since its reference is checked then.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('ledgerTransactions', (table) => {
    table.text('id').primary();
    table.text('kind').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
    table.text('reversesId').unique().references('id').inTable('ledgerTransactions');
  });
  await db.raw(
    `CREATE TABLE ledgerPostings (
       id INTEGER PRIMARY KEY,
       transactionId TEXT NOT NULL REFERENCES ledgerTransactions(id) DEFERRABLE INITIALLY DEFERRED,
       kind TEXT NOT NULL,
       owner TEXT NOT NULL,
       weight INTEGER NOT NULL CHECK (typeof(weight) = 'integer' AND weight <> 0)
     )`,
  );
  await db.raw('CREATE INDEX ledgerPostings_owner ON ledgerPostings(owner, kind)');
  await db.raw('CREATE INDEX ledgerPostings_transaction ON ledgerPostings(transactionId)');
  await db.raw(
    `CREATE TRIGGER ledgerTransactions_balanced BEFORE INSERT ON ledgerTransactions
     WHEN (SELECT SUM(weight) FROM ledgerPostings WHERE transactionId = NEW.id) IS NOT 0
     BEGIN SELECT RAISE(ABORT, 'the postings of a weight transaction must add up to zero'); END`,
  );
  await db.raw(
    `CREATE TRIGGER ledgerPostings_sealed BEFORE INSERT ON ledgerPostings
     WHEN EXISTS (SELECT 1 FROM ledgerTransactions WHERE id = NEW.transactionId)
     BEGIN SELECT RAISE(ABORT, 'the weight transaction is sealed'); END`,
  );
  await appendOnly(db, 'ledgerTransactions');
  await appendOnly(db, 'ledgerPostings');
}
