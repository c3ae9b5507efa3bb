import { differences, type Bill, type BillDifference } from '@/core/charges/bill';
import type { Cents } from '@/core/quantity/money';
import { inUnits, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { Reconciliation } from '@/core/reconcile/reconcile';
import type { ForecastLine } from '@/core/forecast/types';
import { type Payment, type PickUp } from '@/data/repositories/settlement';
import { voidsOfShare, type VoidedWeighing } from '@/data/repositories/weighings';
import {
  estimateOf,
  finalBill,
  forecastOf,
  hotWeight,
  isPacked,
  orderStage,
  paidOf,
  reconciliationOf,
  sheetInForce,
  shareName,
  type Order,
} from '../orderBook';
import { defineShareView } from './shareView';

export type BalanceView = {
  readonly shareId: string;
  readonly name: string;
  readonly about: string;
  readonly unit: WeighingUnit;
  readonly stage: ReturnType<typeof orderStage>;
  readonly hot: Weight;
  readonly reconciliation: Reconciliation;
  readonly expectedLines: readonly ForecastLine[];
  readonly notes: readonly { readonly lineKey: string; readonly note: string }[];
  readonly voids: readonly VoidedWeighing[];
  readonly packed: boolean;
  readonly closing: { readonly note: string; readonly at: string } | null;
};

function aboutOf(order: Order): string {
  return `${order.situation.species.name.toLowerCase()} ${order.animal.tag} from ${order.animal.farm.name}`;
}

/** Where the weight of a share went, and how the packs compare with the sheet. */
export const balanceView = defineShareView<BalanceView>('balanceView', async (house, order) => {
  const shareId = order.share.id;
  return {
    shareId,
    name: shareName(order),
    about: aboutOf(order),
    unit: order.shop.unit,
    stage: orderStage(order),
    hot: hotWeight(order),
    reconciliation: await reconciliationOf(house.db, order),
    expectedLines: forecastOf(order).lines,
    notes: order.notes.map(({ lineKey, note }) => ({ lineKey, note })),
    voids: await voidsOfShare(house.db, shareId),
    packed: isPacked(order),
    closing: order.closing ? { note: order.closing.note, at: order.closing.at } : null,
  };
});

/** One kind of pack in the boxes, for the statement. */
export type PackedCut = {
  readonly cut: string;
  readonly packs: number;
  readonly net: Weight;
  /** Green weight it was made from; null for fresh cuts. */
  readonly green: Weight | null;
};

export type SettleView = {
  readonly shareId: string;
  readonly name: string;
  readonly about: string;
  readonly shopName: string;
  readonly unit: WeighingUnit;
  readonly sign: string;
  readonly priceList: string;
  readonly stage: ReturnType<typeof orderStage>;
  readonly inspection: 'custom-exempt' | 'inspected';
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
  readonly pickUp: PickUp | null;
  readonly notes: readonly { readonly cut: string; readonly note: string }[];
  readonly wrap: string;
};

/** The bill beside its estimate, what was paid, and what the statement says. */
export const settleView = defineShareView<SettleView>('settleView', async (house, order) => {
  const shareId = order.share.id;
  const estimate = order.start?.estimate ?? estimateOf(order);
  const bill = order.closing?.bill ?? (order.start ? finalBill(order) : estimate);
  const reconciliation = await reconciliationOf(house.db, order);
  const paid = paidOf(order);
  const cutOf = (key: string) => reconciliation.lines.find((line) => line.lineKey === key)?.cut ?? key;
  return {
    shareId,
    name: shareName(order),
    about: aboutOf(order),
    shopName: order.shop.name,
    unit: order.shop.unit,
    sign: order.priceList.sign,
    priceList: `${order.priceList.name}, in force from ${order.priceList.effectiveFrom}`,
    stage: orderStage(order),
    inspection: order.animal.inspection,
    people: {
      owner: order.share.owner.name,
      payer: order.share.payer.name,
      contact: order.share.contact.name,
    },
    hot: hotWeight(order),
    reconciliation,
    packs: packsOf(reconciliation),
    estimate,
    bill,
    final: order.closing !== undefined,
    differences: differences(estimate, bill),
    payments: order.payments,
    paid,
    due: (bill.due - paid) as Cents,
    pickUp: order.pickUp ?? null,
    notes: order.notes.map((note) => ({ cut: cutOf(note.lineKey), note: note.note })),
    wrap: sheetInForce(order).wrap,
  };
});

function packsOf({ lines }: Reconciliation): PackedCut[] {
  return lines
    .filter((line) => line.packsMade > 0 && inUnits(line.actual) > 0)
    .map((line) => ({
      cut: line.cut,
      packs: line.packsMade,
      net: line.actual,
      green: line.green > 0 ? line.green : null,
    }));
}
