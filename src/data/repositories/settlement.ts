import type { Bill } from '@/core/charges/bill';
import type { Cents } from '@/core/quantity/money';
import type { Database } from '../database';

/** The closed balance of a share, with the final bill as it was then. */
export type Closing = {
  readonly shareId: string;
  readonly clientId: string;
  readonly bill: Bill;
  readonly note: string;
  readonly at: string;
  readonly actorId: string;
};

export async function allClosings(db: Database): Promise<Closing[]> {
  const rows = await db('closings').select();
  return rows.map((row) => ({ ...row, bill: JSON.parse(row.bill) }));
}

export async function writeClosing(db: Database, closing: Closing): Promise<void> {
  await db('closings').insert({ ...closing, bill: JSON.stringify(closing.bill) });
}

export type Payment = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: string;
  /** Below zero when money was given back. */
  readonly amount: Cents;
  readonly method: 'cash' | 'card' | 'transfer';
  readonly at: string;
  readonly actorId: string;
};

/** Every payment, in the order they were taken. */
export async function allPayments(db: Database): Promise<Payment[]> {
  return db('payments').select().orderBy('rowid');
}

export async function writePayment(db: Database, payment: Payment): Promise<void> {
  await db('payments').insert(payment);
}

export type PickUp = {
  readonly shareId: string;
  readonly clientId: string;
  readonly takenBy: string;
  readonly at: string;
  readonly actorId: string;
};

export async function allPickUps(db: Database): Promise<PickUp[]> {
  return db('pickUps').select();
}

export async function writePickUp(db: Database, pickUp: PickUp): Promise<void> {
  await db('pickUps').insert(pickUp);
}
