import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { postClosing } from '@/core/ledger/ledger';
import { cents } from '@/core/quantity/money';
import { failure, success } from '@/core/quantity/result';
import { balancesOfShare, writeTransaction } from '@/data/repositories/ledger';
import { writeClosing, writePayment, writePickUp } from '@/data/repositories/settlement';
import { OFFICE, defineUseCase } from '../doorway';
import { finalBill, isPacked, orderOf, paidOf, reconciliationOf } from '../orderBook';
import { clientId, id } from './fields';

/** Closes the balance of a share: what is left is unaccounted, and the final bill is frozen. */
export const closeShare = defineUseCase<
  { clientId: string; shareId: string; note: string },
  { shareId: string }
>({
  name: 'closeShare',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, shareId: id, note: Joi.string().trim().allow('').max(500).required() }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: requestId, shareId, note }) => {
    const order = await orderOf(house.db, shareId);
    if (!order) return failure('not-found', 'There is no such share.');
    if (order.closing) return success({ shareId });
    if (!order.start || !isPacked(order)) {
      return failure(
        'still-due',
        'Some cuts of the sheet are neither packed nor explained. Pack them or say why.',
      );
    }
    const balance = await reconciliationOf(house.db, order);
    const explained = new Set(order.notes.map((each) => each.lineKey));
    const inCure = balance.lines.filter((line) => line.state === 'in cure' && !explained.has(line.lineKey));
    if (inCure.length > 0) {
      const cuts = inCure.map((line) => line.cut).join(', ');
      return failure('in-cure', `Still in cure: ${cuts}. Weigh the finished packs first.`);
    }
    if (balance.verdict !== 'usual' && note === '') {
      const percent = (balance.unaccountedBp / 100).toFixed(2);
      return failure(
        'needs-a-note',
        `${percent} % is unaccounted. Look for it, then write what was found.`,
        'note',
      );
    }
    const at = house.now.toISOString();
    const postings = postClosing(shareId, await balancesOfShare(house.db, shareId));
    if (postings.length > 0) {
      await writeTransaction(
        house.db,
        { id: randomUUID(), kind: 'closing', at, actorId: house.actor.id },
        postings,
      );
    }
    await writeClosing(house.db, {
      shareId,
      clientId: requestId,
      bill: finalBill(order),
      note,
      at,
      actorId: house.actor.id,
    });
    return success({ shareId });
  },
});

type PaymentInput = {
  clientId: string;
  shareId: string;
  amountCents: number;
  method: 'cash' | 'card' | 'transfer';
};

/** Takes a payment; a payment back is written with a minus. */
export const takePayment = defineUseCase<PaymentInput, { shareId: string }>({
  name: 'takePayment',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    amountCents: Joi.number().integer().invalid(0).min(-1_000_000).max(1_000_000).required(),
    method: Joi.valid('cash', 'card', 'transfer').required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: requestId, shareId, amountCents, method }) => {
    const order = await orderOf(house.db, shareId);
    if (!order?.closing) return failure('not-closed', 'The bill is not final yet. Close the balance first.');
    if (order.payments.some((payment) => payment.clientId === requestId)) return success({ shareId });
    const left = order.closing.bill.due - paidOf(order);
    if (amountCents > Math.max(0, left)) {
      return failure('too-much', 'That is more than is due. Check the amount.', 'amountCents');
    }
    await writePayment(house.db, {
      id: randomUUID(),
      clientId: requestId,
      shareId,
      amount: cents(amountCents),
      method,
      at: house.now.toISOString(),
      actorId: house.actor.id,
    });
    return success({ shareId });
  },
});

/** Hands the boxes over. Unpaid boxes leave only with the owner's word. */
export const handOver = defineUseCase<
  { clientId: string; shareId: string; takenBy: string },
  { shareId: string }
>({
  name: 'handOver',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, shareId: id, takenBy: Joi.string().trim().min(1).max(80).required() }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: requestId, shareId, takenBy }) => {
    const order = await orderOf(house.db, shareId);
    if (!order?.closing) return failure('not-closed', 'The bill is not final yet. Close the balance first.');
    if (order.pickUp) return success({ shareId });
    if (paidOf(order) < order.closing.bill.due && house.actor.role !== 'owner') {
      return failure('not-paid', 'The bill is not paid in full. Take the payment, or ask the owner.');
    }
    const at = house.now.toISOString();
    await writePickUp(house.db, { shareId, clientId: requestId, takenBy, at, actorId: house.actor.id });
    return success({ shareId });
  },
});
