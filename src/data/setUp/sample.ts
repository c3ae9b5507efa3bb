import type { AnimalId, ShareId } from '@/core/order/animal';
import type { Database } from '../database';
import { removeSmokehouseOf } from '../smoke';

/** Marks animals as made up, with everything that hangs on them. */
export async function markAsSample(db: Database, animalIds: readonly AnimalId[]): Promise<void> {
  await db('animals')
    .whereIn('id', [...animalIds])
    .update({ sample: true });
}

/** Everything that refers to a table, as the database itself says: what a later version adds is among it. */
async function referringTo(
  db: Database,
  table: string,
): Promise<readonly { readonly table: string; readonly column: string }[]> {
  return db.raw(
    `SELECT tables.name AS "table", refers."from" AS "column"
     FROM sqlite_master AS tables, pragma_foreign_key_list(tables.name) AS refers
     WHERE tables.type = 'table' AND refers."table" = ?`,
    [table],
  );
}

/**
 * Takes sample animals out again, and nothing else: the one thing that ever removes what was written. Their weight
 * transactions go whole, so the ledger stays in balance; the triggers that forbid removing are put back before anything
 * is kept.
 *
 * @returns how many animals
 * @throws Error when anything would be left hanging or out of balance; nothing is changed then
 */
export async function removeSample(db: Database): Promise<number> {
  return db.transaction(async (trx) => {
    await trx.raw('PRAGMA defer_foreign_keys = ON');
    const guards: { name: string; sql: string }[] = await trx('sqlite_master')
      .where({ type: 'trigger' })
      .andWhere('name', 'like', '%_no_delete')
      .select('name', 'sql');
    for (const { name } of guards) await trx.raw(`DROP TRIGGER ${name}`);
    const animals = await removeRows(trx);
    for (const { sql } of guards) await trx.raw(sql);
    await checkWhole(trx);
    return animals;
  });
}

async function removeRows(trx: Database): Promise<number> {
  const animals = trx('animals').where({ sample: true }).select('id');
  const shareIds: ShareId[] = await trx('shares').whereIn('animalId', animals).pluck('id');
  const sideIds: string[] = await trx('sides').whereIn('animalId', animals).pluck('id');
  await removeLedger(trx, [
    ...shareIds,
    ...sideIds,
    ...(await trx('weighings').whereIn('shareId', shareIds).pluck('id')),
  ]);
  await trx('stageWords').whereIn('rowid', trx('shares').whereIn('id', shareIds).select('number')).delete();
  await removeSmokehouseOf(trx, shareIds);
  await removeBelow(trx, 'shares', shareIds);
  await removeBelow(trx, 'sides', sideIds);
  await trx('sides').whereIn('id', sideIds).delete();
  await trx('shares').whereIn('id', shareIds).delete();
  const removed = await trx('animals').where({ sample: true }).delete();
  await removeStrangers(trx);
  return removed;
}

/** Everything that refers to these rows, and what refers to that in turn; the rows themselves stay. */
async function removeBelow(trx: Database, parent: string, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  for (const { table, column } of await referringTo(trx, parent)) {
    if (await trx.schema.hasColumn(table, 'id')) {
      await removeBelow(
        trx,
        table,
        await trx(table)
          .whereIn(column, [...ids])
          .pluck('id'),
      );
    }
    await trx(table)
      .whereIn(column, [...ids])
      .delete();
  }
}

/** The transactions of these owners, a cure's account included: `share/line` is of its share. */
async function removeLedger(trx: Database, owners: readonly string[]): Promise<void> {
  const known = new Set(owners);
  const all: { transactionId: string; owner: string }[] = await trx('ledgerPostings').select(
    'transactionId',
    'owner',
  );
  const ids = new Set(
    all.filter(({ owner }) => known.has(owner.split('/')[0]!)).map(({ transactionId }) => transactionId),
  );
  for (const transactionId of ids) {
    await trx('ledgerPostings').where({ transactionId }).delete();
    await trx('ledgerTransactions').where({ id: transactionId }).delete();
  }
}

/** People who have no animal and no share any more, with what was noted of them. */
async function removeStrangers(trx: Database): Promise<void> {
  const strangers: string[] = await trx('people')
    .whereNotIn('id', trx('animals').select('farmId'))
    .whereNotIn('id', trx('shares').select('ownerId'))
    .whereNotIn('id', trx('shares').select('payerId'))
    .whereNotIn('id', trx('shares').select('contactId'))
    .pluck('id');
  for (const { table, column } of await referringTo(trx, 'people')) {
    await trx(table).whereIn(column, strangers).delete();
  }
  await trx('people').whereIn('id', strangers).delete();
}

async function checkWhole(trx: Database): Promise<void> {
  const hanging: unknown[] = await trx.raw('PRAGMA foreign_key_check');
  const [sum] = await trx('ledgerPostings').sum({ all: 'weight' });
  if (hanging.length > 0 || Number(sum!.all ?? 0) !== 0) {
    throw new Error(
      'The sample cannot be taken out without hurting the shop’s own data; nothing was changed.',
    );
  }
}
