import type { Catalogue } from '@/core/catalogue/catalogue';
import { migrate, type Database } from '@/data/database';
import { countRows } from '@/data/rail';
import { freezeOldPlans } from '../block';
import { log } from '../house/log';
import { restageAll } from '../rail';

/**
 * Brings a shop's data to what this version works with: the newest shape, plans frozen that an older version left to be
 * worked out, and the projection of stages complete. Done at every start; costs nothing when nothing is to do.
 */
export async function prepareShop(db: Database, catalogue: Catalogue): Promise<void> {
  await migrate(db);
  const frozen = await freezeOldPlans(db, catalogue);
  if (frozen > 0) log().info({ frozen }, 'plans of an older version frozen');
  const { shares, staged } = await countRows(db);
  if (shares !== staged) log().info({ shares: await restageAll(db, catalogue) }, 'stages worked out anew');
}
