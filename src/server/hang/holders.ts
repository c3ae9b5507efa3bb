import type { Share, Side } from '@/core/order/animal';
import { sidesOfPart } from '@/core/shares/parts';
import type { House } from '../house/useCase';

/** Whether a share has meat of a side. */
export function holds({ part }: Pick<Share, 'part'>, { position }: Pick<Side, 'position'>): boolean {
  return sidesOfPart(part).includes(position);
}

/** Everybody with meat of a side stands differently now. */
export function touchHolders(house: House, shares: readonly Share[], side: Pick<Side, 'position'>): void {
  for (const share of shares) {
    if (holds(share, side)) house.touch(share.id);
  }
}
