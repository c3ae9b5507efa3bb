import type { HouseholdNote } from '../block/told';
import type { Bill, BillDifference } from '../charges/bill';
import type { InspectionClass } from '../label/label';
import type { Cents } from '../quantity/money';
import type { Weight, WeighingUnit } from '../quantity/weight';
import type { Reconciliation } from '../reconcile/reconcile';
import type { Wrap } from '../sheet/types';
import type { Destination } from '../species/types';
import type { Day, Instant } from '../time/shopTime';
import type { ShareId } from './animal';
import type { Place } from './stage';

/** The closed balance of a share, with the final bill as it was then. */
export type Closing = {
  readonly shareId: ShareId;
  readonly clientId: string;
  readonly bill: Bill;
  readonly note: string;
  readonly at: Instant;
  readonly actorId: string;
};

export const PAYMENT_METHODS = ['cash', 'card', 'transfer'] as const;
export type PaymentMethod = (typeof PAYMENT_METHODS)[number];

export type Payment = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: ShareId;
  /** Below zero when money was given back. */
  readonly amount: Cents;
  readonly method: PaymentMethod;
  readonly at: Instant;
  readonly actorId: string;
};

export type PickUp = {
  readonly shareId: ShareId;
  readonly clientId: string;
  readonly takenBy: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** One kind of pack in the boxes, for the statement. */
export type PackedCut = {
  readonly cut: string;
  readonly destination: Destination;
  readonly packs: number;
  readonly net: Weight;
  /** Green weight it was made from; null for fresh cuts. */
  readonly green: Weight | null;
};

/** The end of an order as bill and statement show it. */
export type Settlement = {
  readonly shareId: ShareId;
  readonly name: string;
  readonly about: string;
  readonly shopName: string;
  readonly unit: WeighingUnit;
  readonly sign: string;
  readonly priceList: string;
  readonly stage: Place;
  readonly inspection: InspectionClass;
  readonly people: { readonly owner: string; readonly payer: string; readonly contact: string };
  readonly hot: Weight;
  readonly reconciliation: Reconciliation;
  readonly packs: readonly PackedCut[];
  readonly estimate: Bill;
  readonly bill: Bill;
  readonly final: boolean;
  readonly differences: readonly BillDifference[];
  readonly payments: readonly Payment[];
  readonly paid: Cents;
  readonly due: Cents;
  /** Who took the boxes, and the day by the shop's calendar. */
  readonly pickUp: { readonly takenBy: string; readonly day: Day } | null;
  readonly notes: readonly HouseholdNote[];
  readonly wrap: Wrap;
  /** How long it keeps, in words. */
  readonly keeps: string;
};

/** A settlement as it is printed, with the photographs that its notes name, as JPEG by their ids. */
export type Statement = Settlement & { readonly photos: ReadonlyMap<string, Uint8Array> };
