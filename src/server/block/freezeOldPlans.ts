import { planOf } from '@/core/order/standing';
import { startsWithoutPlan, writePlan } from '@/data/block';
import type { Database } from '@/data/database';
import { readShareFile } from '@/data/rail';
import type { SetUps } from '@/data/setUp';
import { log } from '../house/log';

/**
 * Freezes the plans of shares that went to the block before plans were kept. Done once, by the version that brings
 * such a database forward. @returns how many
 */
export async function freezeOldPlans(db: Database, setUps: SetUps): Promise<number> {
  const shareIds = await startsWithoutPlan(db);
  for (const shareId of shareIds) {
    try {
      const file = await readShareFile(db, setUps, shareId);
      if (file) await writePlan(db, shareId, planOf(file));
    } catch (error) {
      log().error({ error, shareId }, 'the plan of an old share cannot be worked out');
    }
  }
  return shareIds.length;
}
