import { migrate, type Database } from '@/data/database';
import { countRows, sharesBeforeTheBlock } from '@/data/rail';
import { freezeOldPlans } from '../block';
import type { SetUps } from '@/data/setUp';
import { log } from '../house/log';
import { restage, restageAll, unread } from '../rail';
import { completeYields } from '../yields';

/**
 * Brings a shop's data to what this version works with: the newest shape, plans frozen that an older version left to be
 * worked out, and the projections of stages and of yields complete. Done at every start; costs nothing when nothing is to do.
 */
export async function prepareShop(db: Database, setUps: SetUps): Promise<void> {
  await migrate(db);
  const frozen = await freezeOldPlans(db, setUps);
  if (frozen > 0) log().info({ frozen }, 'plans of an older version frozen');
  // What finished shares taught is in the forecasts that the stages of the others stand on.
  const yields = await completeYields(db, setUps);
  if (yields > 0) log().info({ shares: yields }, 'yields worked out');
  const { shares, staged } = await countRows(db);
  if (shares !== staged) log().info({ shares: await restageAll(db, setUps) }, 'stages worked out anew');
  else if (yields > 0) await restage(db, setUps, unread(await sharesBeforeTheBlock(db)));
}
