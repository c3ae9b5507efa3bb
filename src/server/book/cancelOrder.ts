import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { PAYMENT_METHODS, type PaymentMethod } from '@/core/order/settlement';
import type { ShareFile } from '@/core/order/shareFile';
import { cents } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { beginUnder, shareIdsOfAnimal, writeCancellation } from '@/data/book';
import { writeSheetVersion } from '@/data/sheet';
import { writePayment } from '@/data/settle';
import { clientId, id, words } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { fileOf } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';

/** What becomes of the deposit: given back some way, or kept. */
type DepositEnd = PaymentMethod | 'kept';
type Input = { clientId: string; shareId: ShareId; reason: string; deposit?: DepositEnd };

/** Calls an order off before anything is cut: its part is free again, and what becomes of the deposit is said. */
export const cancelOrder = defineUseCase<Input, { shareId: ShareId }>({
  name: 'cancelOrder',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    reason: words(200).required(),
    deposit: Joi.valid(...PAYMENT_METHODS, 'kept'),
  }),
  subject: (input) => input.shareId,
  run: async (house, { shareId, reason, deposit, ...input }) => {
    const found = await fileOf(house, shareId);
    if (!found.ok) return found;
    const file = found.value;
    const refused = whyRefused(file, deposit);
    if (refused) return refused;
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeCancellation(house.db, { shareId, reason, ...by });
    await handSheetOn(house, file);
    if (deposit && deposit !== 'kept' && file.share.deposit > 0) {
      const amount = cents(-file.share.deposit);
      const payment = { id: randomUUID(), clientId: input.clientId, shareId, amount, method: deposit };
      await writePayment(house.db, { ...payment, ...by });
    }
    // The farm pays from now on for what nobody bought; the other half's part of the bill is worked out anew.
    for (const each of await shareIdsOfAnimal(house.db, file.animal.id)) house.touch(each);
    return success({ shareId });
  },
});

/** The sheet of those who are cut as one stays theirs when the first of them goes. */
async function handSheetOn(house: House, { share, sheet, together }: ShareFile): Promise<void> {
  const [first, next] = together;
  if (!sheet || first!.id !== share.id || !next) return;
  await writeSheetVersion(house.db, { ...sheet, shareId: next.id, approved: false, overrideReason: null });
  await beginUnder(house.db, next.id, share.setUpNumber);
}

function whyRefused(file: ShareFile, deposit: DepositEnd | undefined): Refusal | undefined {
  if (file.cancellation) return refuse('cancelled', 'This order was called off already.');
  if (file.start) {
    const message =
      'It is on the block; what is cut cannot be called off. Settle it, or correct who eats it.';
    return refuse('on-the-block', message);
  }
  const hangs = file.sides.some((side) => side.hot);
  if (hangs && file.siblings.every((each) => each.id === file.share.id)) {
    const message =
      'It hangs, and nobody else has a part of the animal. Correct who eats it: the farm, or whoever takes it over.';
    return refuse('hangs-already', message);
  }
  if (file.share.deposit > 0 && deposit === undefined) {
    return refuse('needs-a-note', 'A deposit was paid. Say what becomes of it.', 'deposit');
  }
  return undefined;
}
