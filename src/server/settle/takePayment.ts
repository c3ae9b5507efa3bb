import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { dueOf, paidOf } from '@/core/order/settling';
import { PAYMENT_METHODS, type PaymentMethod } from '@/core/order/settlement';
import type { ShareFile } from '@/core/order/shareFile';
import { cents } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { writePayment } from '@/data/settle';
import { clientId, id } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { fileOf } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';

type Input = { clientId: string; shareId: ShareId; amountCents: number; method: PaymentMethod };

/** Takes a payment; a payment back is written with a minus, and never exceeds what was paid or is owed back. */
export const takePayment = defineUseCase<Input, { shareId: ShareId }>({
  name: 'takePayment',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    amountCents: Joi.number().integer().invalid(0).min(-1_000_000).max(1_000_000).required(),
    method: Joi.valid(...PAYMENT_METHODS).required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: requestId, shareId, amountCents, method }) => {
    const found = await fileOf(house, shareId);
    if (!found.ok) return found;
    const file = found.value;
    if (!file.closing) return refuse('not-closed', 'The bill is not final yet. Close the balance first.');
    const refused = amountProblem(file, amountCents);
    if (refused) return refused;
    await writePayment(house.db, {
      id: randomUUID(),
      clientId: requestId,
      shareId,
      amount: cents(amountCents),
      method,
      at: instant(house.now),
      actorId: house.actor.id,
    });
    house.touch(shareId);
    return success({ shareId });
  },
});

function amountProblem(file: ShareFile, amount: number): Refusal | undefined {
  if (amount > Math.max(0, dueOf(file))) {
    return refuse('too-much', 'That is more than is due. Check the amount.', 'amountCents');
  }
  // A bill below zero is a credit from the deposit: it can be paid out though nothing was paid since.
  const canGoBack = Math.max(paidOf(file), paidOf(file) - file.closing!.bill.due, 0);
  if (-amount > canGoBack) {
    return refuse('too-much', 'That is more than was ever paid. Check the amount.', 'amountCents');
  }
  return undefined;
}
