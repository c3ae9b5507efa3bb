import { handsOf, HAND_IDS, type Hand, type HandId } from '@/core/block/hand';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { success, type Result } from '@/core/quantity/result';
import Joi from 'joi';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { cutFileOf } from '../house/shareView';
import type { House } from '../house/useCase';

export const handId = Joi.valid(...HAND_IDS);

/** What is on the block and in hand: the file it is cut by, and the side as it is being cut. */
export type InHand = { readonly file: ShareFile; readonly hand: Hand };

/** A hand of a share that is being cut, or why nothing can be done with it. */
export async function inHand(
  house: House,
  { shareId, hand: id }: { readonly shareId: ShareId; readonly hand: HandId },
): Promise<Result<InHand, Reason>> {
  const found = await cutFileOf(house, shareId);
  if (!found.ok) return found;
  const file = found.value;
  const refused = notOpen(file);
  if (refused) return refused;
  const hand = handsOf(file).find((each) => each.id === id);
  return hand
    ? success({ file, hand })
    : refuse('not-found', 'This side is not of this share. Load the page again.');
}

function notOpen({ start, closing }: ShareFile): Refusal | undefined {
  if (!start) return refuse('not-on-the-block', 'This share is not on the block yet. Take it there first.');
  return closing && refuse('closed', 'This order is closed. Nothing more is cut for it.');
}
