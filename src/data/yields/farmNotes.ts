import type { PersonId } from '@/core/order/animal';
import type { Instant } from '@/core/time/shopTime';
import type { Pace, Remembered } from '@/core/yields/farmSeason';
import type { Database } from '../database';

/** Something said of a cut of a farm's animals. */
export type FarmNote = {
  readonly clientId: string;
  readonly farmId: PersonId;
  readonly species: string;
  readonly cut: string;
  readonly pace: Pace | '';
  readonly note: string;
  readonly at: Instant;
  readonly actorId: string;
};

export async function writeFarmNote(db: Database, note: FarmNote): Promise<void> {
  await db('farmNotes').insert(note);
}

/** What a farm remembers, by species; of each cut what was said last, and nothing where that was taken back. */
export async function rememberedOf(
  db: Database,
  farmId: PersonId,
): Promise<ReadonlyMap<string, readonly Remembered[]>> {
  const rows: FarmNote[] = await db('farmNotes').where({ farmId }).orderBy('number');
  const last = new Map(rows.map((row) => [`${row.species}\n${row.cut}`, row]));
  const bySpecies = new Map<string, Remembered[]>();
  for (const { species, cut, pace, note } of last.values()) {
    if (pace === '' && note === '') continue;
    const own = bySpecies.get(species) ?? [];
    own.push({ cut, pace: pace === '' ? null : pace, note });
    bySpecies.set(species, own);
  }
  return bySpecies;
}
