import type { Knex } from 'knex';

/** Makes the database refuse to change or remove rows of a table: what was written stands. */
export async function appendOnly(db: Knex, table: string): Promise<void> {
  for (const change of ['UPDATE', 'DELETE']) {
    await db.raw(
      `CREATE TRIGGER ${table}_no_${change.toLowerCase()} BEFORE ${change} ON ${table}
       BEGIN SELECT RAISE(ABORT, '${table} is append-only'); END`,
    );
  }
}
