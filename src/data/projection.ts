import type { Database } from './database';

/** What is worked out of a finished share and kept: made anew when the way it is worked out changes. */
type Projected = { readonly shareId: string; readonly species: string; readonly closedOn: string };

/** Rows of one statement. */
const AT_ONCE = 400;

/** Writes rows of a projection of finished shares, in place of what was worked out before. */
export async function writeProjection(
  db: Database,
  { table, version }: { readonly table: 'yields' | 'lessons'; readonly version: number },
  rows: readonly Projected[],
): Promise<void> {
  for (let start = 0; start < rows.length; start += AT_ONCE) {
    const written = rows.slice(start, start + AT_ONCE).map((row) => {
      const { shareId, species, closedOn } = row;
      return { shareId, species, closedOn, version, row: JSON.stringify(row) };
    });
    await db(table).insert(written).onConflict('shareId').merge();
  }
}
