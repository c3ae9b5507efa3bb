import { markAsSample } from '@/data/setUp';
import type { Staff } from '../house/actor';
import type { Surroundings } from '../house/surroundings';
import { restageAll } from '../rail';
import { seedLiveWeek, type Sign } from './liveWeek';

/** Puts the demo's live week into a shop of one's own, marked so that it can be taken out again. */
export async function addSample(around: Surroundings, owner: Staff, sign: Sign): Promise<void> {
  const animalIds = await seedLiveWeek(around, sign, owner);
  await markAsSample(around.db, animalIds);
  // While it was made it taught like any other; the shop's own orders are forecast without it.
  around.files.forgetAll();
  await restageAll(around.db, around.setUps);
}
