import { FULL, levelAt, type Level, type LevelGiven } from '@/core/block/levels';
import { instant } from '@/core/time/shopTime';
import { levelsGiven } from '@/data/people';
import { isOwner } from '../house/actor';
import type { House } from '../house/useCase';

/** How far whoever asks has come at the block, of what was given to anybody; an owner may do everything. */
export function levelIn({ actor, now }: Pick<House, 'actor' | 'now'>, given: readonly LevelGiven[]): Level {
  return isOwner(actor) ? FULL : levelAt(given, actor.id, instant(now));
}

/** How far whoever asks has come at the block. */
export async function levelNow(house: House): Promise<Level> {
  return levelIn(house, await levelsGiven(house.db));
}
