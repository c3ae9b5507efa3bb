import { handsOf, handWords, type Hand } from '@/core/block/hand';
import type { Beside } from '@/core/block/wishes';
import { cutName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { leadOf } from '@/core/order/together';
import { fileOf } from '../house/shareView';
import type { House } from '../house/useCase';

/** Whoever else has a part of the animal, and the other side of the same share: what they want is seen at each step. */
export async function besideOf(house: House, file: ShareFile, hand: Hand): Promise<Beside[]> {
  const own = handsOf(file)
    .filter((each) => each.id !== hand.id)
    .map((job) => ({ name: handWords(file, job), job }));
  const leads = new Set(file.siblings.map((share) => leadOf(share, file.siblings).id));
  leads.delete(file.share.id);
  const others: Beside[] = [];
  for (const shareId of leads) {
    const found = await fileOf(house, shareId);
    if (!found.ok || !found.value.sheet) continue;
    const theirs = handsOf(found.value);
    // Of a whole side the nearest; of a quarter that of the same side, where there is one.
    const job = theirs.find((each) => each.id === hand.id) ?? theirs[0];
    if (job) others.push({ name: cutName(found.value), job });
  }
  return [...own, ...others];
}
