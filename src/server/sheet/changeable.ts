import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import type { Result } from '@/core/quantity/result';
import { refuse, type Reason } from '../house/reasons';
import { cutFileOf } from '../house/shareView';
import type { House } from '../house/useCase';

/** The file of a share whose sheet may still be changed. */
export async function changeable(house: House, shareId: ShareId): Promise<Result<ShareFile, Reason>> {
  const found = await cutFileOf(house, shareId);
  if (!found.ok) return found;
  if (found.value.cancellation) return refuse('cancelled', 'This order was called off. Nothing was changed.');
  if (!found.value.start) return found;
  return refuse('on-the-block', 'This share is on the block. Its sheet stands; tell the cutter.');
}
