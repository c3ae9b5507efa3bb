import { levelAt, type Level } from '@/core/block/levels';
import { instant } from '@/core/time/shopTime';
import { levelsGiven } from '@/data/people';
import type { House } from '../house/useCase';

/** How far whoever asks has come at the block. */
export async function levelNow({ db, actor, now }: Pick<House, 'db' | 'actor' | 'now'>): Promise<Level> {
  return levelAt(await levelsGiven(db), actor.id, instant(now));
}
