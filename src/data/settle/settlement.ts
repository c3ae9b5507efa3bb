import type { ShareId } from '@/core/order/animal';
import type { Closing, Payment, PickUp } from '@/core/order/settlement';
import type { Database } from '../database';
import { readBill } from './bill';

export async function closingsOf(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, Closing>> {
  const rows: (Omit<Closing, 'bill'> & { bill: string })[] = await db('closings').whereIn('shareId', [
    ...shareIds,
  ]);
  return new Map(rows.map((row) => [row.shareId, { ...row, bill: readBill(row.bill) }]));
}

/** The shares closed at or after an instant, the latest first. */
export async function closedSince(db: Database, at: string, most: number): Promise<ShareId[]> {
  return db('closings').where('at', '>=', at).orderBy('at', 'desc').limit(most).pluck('shareId');
}

/**
 * The final bills of a year, with a few days around it: which of them are of the year is for the shop's own clock.
 */
export async function billsClosed(db: Database, year: number): Promise<Pick<Closing, 'at' | 'bill'>[]> {
  const rows: { at: Closing['at']; bill: string }[] = await db('closings')
    .whereBetween('at', [`${year - 1}-12-30`, `${year + 1}-01-03`])
    .orderBy('at')
    .select('at', 'bill');
  return rows.map(({ at, bill }) => ({ at, bill: readBill(bill) }));
}

export async function writeClosing(db: Database, closing: Closing): Promise<void> {
  await db('closings').insert({ ...closing, bill: JSON.stringify(closing.bill) });
}

/** The payments of these shares, in the order they were taken. */
export async function paymentsOf(db: Database, shareIds: readonly ShareId[]): Promise<Payment[]> {
  return db('payments')
    .whereIn('shareId', [...shareIds])
    .orderBy('rowid');
}

export async function writePayment(db: Database, payment: Payment): Promise<void> {
  await db('payments').insert(payment);
}

export async function pickUpsOf(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, PickUp>> {
  const rows: PickUp[] = await db('pickUps').whereIn('shareId', [...shareIds]);
  return new Map(rows.map((row) => [row.shareId, row]));
}

export async function writePickUp(db: Database, pickUp: PickUp): Promise<void> {
  await db('pickUps').insert(pickUp);
}
