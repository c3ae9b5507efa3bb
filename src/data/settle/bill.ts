import type { Bill } from '@/core/charges/bill';

/** A bill as it was written down. Before the farm could pay a part, it paid none. */
export function readBill(text: string): Bill {
  const bill: Omit<Bill, 'farm'> & Partial<Pick<Bill, 'farm'>> = JSON.parse(text);
  return { ...bill, farm: bill.farm ?? [] };
}
