import { asCutOf } from '@/core/block/asCutOf';
import type { ShareFile } from '@/core/order/shareFile';
import { jobOf, planFor } from '@/core/order/standing';
import { writeRemadePlan } from '@/data/block';
import type { House } from './useCase';

/**
 * What is to be made of a share that is being cut, worked out anew from what is known of its carcass by now. Of a share
 * that is on no block yet, or closed, nothing is made anew.
 *
 * @param causeId - the row because of which it is made anew
 */
export async function remakePlan(house: House, file: ShareFile, causeId: string): Promise<void> {
  if (!file.start || file.closing) return;
  const plan = planFor(file, jobOf(asCutOf(file)));
  await writeRemadePlan(house.db, { shareId: file.share.id, causeId, plan });
}
