import type { BookTable } from '@/core/formats/bookFiles';
import type { Database } from './database';

/** What opens doors, or is the machine's own. */
const NOT_GIVEN = /^(sessions|signInAttempts|answers|heartbeat|links|users|knex_|sqlite_|stageWords)/;

/** Every table that is given away, as it stands now. */
export async function bookTables(db: Database): Promise<BookTable[]> {
  const tables: { name: string }[] = await db('sqlite_master').where({ type: 'table' }).orderBy('name');
  const given: BookTable[] = [];
  for (const { name } of tables.filter((table) => !NOT_GIVEN.test(table.name))) {
    const columns: { name: string; type: string }[] = await db.raw(
      'SELECT name, type FROM pragma_table_info(?)',
      [name],
    );
    const counted = await db(name).max({ last: 'rowid' }).count({ all: '*' }).first();
    given.push({
      name,
      columns: columns.map((column) => ({ name: column.name, kind: column.type })),
      rows: Number(counted?.['all'] ?? 0),
      upTo: Number(counted?.['last'] ?? 0),
    });
  }
  return given;
}

/** Rows of one answer. */
const AT_ONCE = 2000;

/** Rows of a table after one of them, in the order they were written. @returns where the next ones begin; null at the end */
export async function bookRows(
  db: Database,
  { table, after, upTo }: { readonly table: string; readonly after: number; readonly upTo: number },
): Promise<{ readonly rows: readonly Record<string, unknown>[]; readonly next: number | null }> {
  const found: (Record<string, unknown> & { rowInOrder: number })[] = await db(table)
    .select('*', db.raw('rowid AS rowInOrder'))
    .whereRaw('rowid > ? AND rowid <= ?', [after, upTo])
    .orderByRaw('rowid')
    .limit(AT_ONCE);
  const next = found.length < AT_ONCE ? null : found.at(-1)!.rowInOrder;
  return { rows: found.map(({ rowInOrder: _order, ...row }) => row), next };
}
