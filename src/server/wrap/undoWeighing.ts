import { randomUUID } from 'node:crypto';
import type { Weighing } from '@/core/order/work';
import { instant } from '@/core/time/shopTime';
import { reverseTransaction } from '@/data/ledger';
import { writeVoid } from '@/data/wrap';
import type { House } from '../house/useCase';

/** Undoes what a weighing booked, by an entry of its own that says why; the weighing stays in the book. */
export async function undoWeighing(
  house: House,
  weighing: Weighing,
  { clientId, reason }: { readonly clientId: string; readonly reason: string },
): Promise<void> {
  const by = { at: instant(house.now), actorId: house.actor.id };
  const transactionId = randomUUID();
  const { id: weighingId, transactionId: reversesId } = weighing;
  await reverseTransaction(house.db, { id: transactionId, kind: 'void', ...by, reversesId });
  await writeVoid(house.db, { weighingId, clientId, reason, transactionId, ...by });
}
