import type { LevelGiven } from '@/core/block/levels';
import type { Database } from '../database';

/** Every level that was given to anybody at the block, in the order it was given. */
export async function levelsGiven(db: Database): Promise<LevelGiven[]> {
  return db('blockLevels').orderBy('rowid');
}

export async function writeLevel(db: Database, given: LevelGiven): Promise<void> {
  await db('blockLevels').insert(given);
}
