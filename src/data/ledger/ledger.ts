import { balanced, reversed, type Posting } from '@/core/ledger/ledger';
import type { Database } from '../database';

/** The head of a weight transaction: what it was, when, and who. */
export type Entry = {
  readonly id: string;
  readonly kind: string;
  readonly at: string;
  readonly actorId: string;
};

/**
 * Writes a weight transaction: postings first, then the entry that seals them; both or neither.
 *
 * @throws UnbalancedTransactionError when the postings do not add up to zero
 */
export async function writeTransaction(
  db: Database,
  entry: Entry & { readonly reversesId?: string },
  postings: readonly Posting[],
): Promise<void> {
  const rows = balanced(postings).map(({ kind, owner, weight }) => ({
    transactionId: entry.id,
    kind,
    owner,
    weight,
  }));
  const write = async (trx: Database) => {
    await trx('ledgerPostings').insert(rows);
    await trx('ledgerTransactions').insert(entry);
  };
  await (db.isTransaction ? write(db) : db.transaction(write));
}

/** Writes the transaction that undoes another; the database allows one for each. */
export async function reverseTransaction(
  db: Database,
  entry: Entry & { readonly reversesId: string },
): Promise<void> {
  const postings: Posting[] = await db('ledgerPostings')
    .where({ transactionId: entry.reversesId })
    .orderBy('id')
    .select('kind', 'owner', 'weight');
  await writeTransaction(db, entry, reversed(postings));
}

function balances(db: Database) {
  return db('ledgerPostings')
    .groupBy('kind', 'owner')
    .having(db.raw('SUM(weight) <> 0'))
    .orderBy(['kind', 'owner'])
    .select('kind', 'owner', db.raw('SUM(weight) AS weight'));
}

/** What the accounts of these owners hold: shares, cures, packages, sides. Empty accounts are left out. */
export async function balancesOf(db: Database, owners: readonly string[]): Promise<Posting[]> {
  return balances(db).whereIn('owner', [...owners]);
}
