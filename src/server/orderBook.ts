import { billFor, itemsOfForecast, type Bill, type BillBasis, type BillItem } from '@/core/charges/bill';
import type { PriceList } from '@/core/charges/priceList';
import type { CarcassFacts } from '@/core/carcass/condition';
import { forecast } from '@/core/forecast/forecast';
import type { Forecast } from '@/core/forecast/types';
import { daysBetween } from '@/core/hang/shrink';
import { leastCertain, sideToCut, type WeightBasis } from '@/core/hang/sideToCut';
import type { Posting } from '@/core/ledger/ledger';
import { stageOf, type Stage } from '@/core/order/stage';
import { sumCents, type Cents } from '@/core/quantity/money';
import { sumWeights, type Weight } from '@/core/quantity/weight';
import { reconcile, type Reconciliation } from '@/core/reconcile/reconcile';
import type { Situation } from '@/core/sheet/situation';
import { emptySheet } from '@/core/sheet/houseSheet';
import { findingsOf, type Finding } from '@/core/sheet/findings';
import type { Sheet } from '@/core/sheet/types';
import { speciesById } from '@/core/species/registry';
import type { Database } from '@/data/database';
import { balancesOfShare } from '@/data/repositories/ledger';
import {
  allAnimals,
  allShares,
  allSides,
  type Animal,
  type Share,
  type Side,
} from '@/data/repositories/orders';
import { readPriceLists, readShop, type Shop } from '@/data/repositories/shop';
import {
  allBlockStarts,
  allSideWeights,
  type BlockStart,
  type SideWeight,
} from '@/data/repositories/railWork';
import {
  allClosings,
  allPayments,
  allPickUps,
  type Closing,
  type Payment,
  type PickUp,
} from '@/data/repositories/settlement';
import { latestSheet, latestSheets, type SheetVersion } from '@/data/repositories/sheets';
import {
  allLineNotes,
  standingWeighings,
  weighingsOfShare,
  type LineNote,
  type Weighing,
} from '@/data/repositories/weighings';

/** A side with the tickets that count. */
export type HungSide = {
  readonly side: Side;
  readonly hot: SideWeight | undefined;
  readonly cold: SideWeight | undefined;
};

/** Everything known of one share, put together once. */
export type Order = {
  readonly shop: Shop;
  readonly priceList: PriceList;
  readonly animal: Animal;
  readonly share: Share;
  /** All shares of the animal, in order; this one among them. */
  readonly siblings: readonly Share[];
  readonly sides: readonly HungSide[];
  readonly situation: Situation;
  readonly sheet: SheetVersion | undefined;
  readonly start: BlockStart | undefined;
  readonly weighings: readonly Weighing[];
  readonly notes: readonly LineNote[];
  readonly closing: Closing | undefined;
  readonly payments: readonly Payment[];
  readonly pickUp: PickUp | undefined;
};

export function netOf(ticket: SideWeight): Weight {
  return (ticket.gross - ticket.tare) as Weight;
}

/** Every order of the shop: one query a table, put together in memory. */
export async function allOrders(db: Database): Promise<Order[]> {
  return loadOrders(db);
}

/** One order; of the long tables, sheets and weighings, only its own rows are read. */
export async function orderOf(db: Database, shareId: string): Promise<Order | undefined> {
  return (await loadOrders(db, shareId)).find((order) => order.share.id === shareId);
}

async function loadOrders(db: Database, only?: string): Promise<Order[]> {
  const shop = await readShop(db);
  const lists = new Map((await readPriceLists(db)).map((list) => [list.id, list]));
  const animals = new Map((await allAnimals(db)).map((animal) => [animal.id, animal]));
  const shares = await allShares(db);
  const sides = await allSides(db);
  const tickets = await allSideWeights(db);
  const sheets = new Map(
    (only ? await latestSheet(db, only).then((own) => (own ? [own] : [])) : await latestSheets(db)).map(
      (sheet) => [sheet.shareId, sheet],
    ),
  );
  const starts = new Map((await allBlockStarts(db)).map((start) => [start.shareId, start]));
  const weighings: Weighing[] = only ? await weighingsOfShare(db, only) : await standingWeighings(db);
  const notes = await allLineNotes(db);
  const closings = new Map((await allClosings(db)).map((closing) => [closing.shareId, closing]));
  const payments = await allPayments(db);
  const pickUps = new Map((await allPickUps(db)).map((pickUp) => [pickUp.shareId, pickUp]));
  const wanted = only ? shares.filter((share) => share.id === only) : shares;
  return wanted.map((share) => {
    const animal = animals.get(share.animalId)!;
    const own = sides.filter(
      (side) => side.animalId === animal.id && (share.part === 'whole' || side.position === share.part),
    );
    return {
      shop,
      priceList: lists.get(animal.priceListId)!,
      animal,
      share,
      siblings: shares.filter((each) => each.animalId === animal.id),
      sides: own.map((side) => ({
        side,
        hot: tickets.findLast((ticket) => ticket.sideId === side.id && ticket.kind === 'hot'),
        cold: tickets.findLast((ticket) => ticket.sideId === side.id && ticket.kind === 'cold'),
      })),
      situation: {
        species: speciesById(animal.species),
        unit: shop.unit,
        sides: own.length === 2 ? 2 : 1,
        addOns: animal.addOns,
        tools: shop.tools,
        ...carcassOf(animal),
      },
      sheet: sheets.get(share.id),
      start: starts.get(share.id),
      weighings: weighings.filter((weighing) => weighing.shareId === share.id),
      notes: notes.filter((note) => note.shareId === share.id),
      closing: closings.get(share.id),
      payments: payments.filter((payment) => payment.shareId === share.id),
      pickUp: pickUps.get(share.id),
    };
  });
}

/** What is known of a carcass; until somebody says otherwise it hangs as long as its species usually does. */
function carcassOf({ species, carcass }: Animal): CarcassFacts {
  const { targetDays } = speciesById(species).hang;
  return { ...carcass, condition: { daysHung: targetDays, ...carcass.condition } };
}

/** `YYYY-MM-DD` in the shop's zone. */
export function shopDay(shop: Shop, at: Date): string {
  return new Intl.DateTimeFormat('en-CA', { timeZone: shop.zone }).format(at);
}

/** `YYYY-MM-DD HH:MM` in the shop's zone. */
export function shopTime(shop: Shop, at: Date): string {
  const time = new Intl.DateTimeFormat('en-GB', { timeZone: shop.zone, hour: '2-digit', minute: '2-digit' });
  return `${shopDay(shop, at)} ${time.format(at)}`;
}

/** The cold weight of each side to cut by, and which basis the least certain side stands on. */
export function coldSides(order: Order): { weights: Weight[]; basis: WeightBasis } {
  const { species, unit } = order.situation;
  const sides = order.sides.map(({ hot, cold }) =>
    sideToCut(species, unit, { hot: hot && netOf(hot), cold: cold && netOf(cold) }),
  );
  return {
    weights: sides.map((side) => side.weight),
    basis: leastCertain(sides.map((side) => side.basis)),
  };
}

/** The hot weight of the share; where a side has no ticket yet, what its expected cold weight came from. */
export function hotWeight(order: Order): Weight {
  const { weights } = coldSides(order);
  return sumWeights(order.sides.map(({ hot }, index) => (hot ? netOf(hot) : weights[index]!)));
}

export function sheetInForce(order: Order): Sheet {
  return order.sheet?.sheet ?? emptySheet(order.situation);
}

export function forecastOf(order: Order): Forecast {
  return forecast(order.situation, sheetInForce(order), coldSides(order).weights);
}

export function openQuestions(order: Order): Finding[] {
  return findingsOf(order.situation, sheetInForce(order), coldSides(order).weights, forecastOf(order));
}

/** What a share's bill stands on, whatever its items come from. */
export function billBasis(order: Order, cold: Weight, items: readonly BillItem[]): BillBasis {
  const part = (share: Share) => (share.part === 'whole' ? 2 : 1);
  return {
    hot: hotWeight(order),
    cold,
    headSplit: {
      parts: order.siblings.map(part),
      index: order.siblings.findIndex((share) => share.id === order.share.id),
    },
    items,
    deposit: order.share.deposit,
  };
}

/** What the share would cost if it were cut as the sheet says. */
export function estimateOf(order: Order): Bill {
  const expected = forecastOf(order);
  const items = itemsOfForecast(expected, sheetInForce(order).wrap);
  return billFor(order.priceList, billBasis(order, expected.coldWeight, items));
}

/** What the share costs by what was really weighed, line by line of the sheet. */
export function finalBill(order: Order): Bill {
  const expected = forecastOf(order);
  const { wrap } = sheetInForce(order);
  const items = expected.lines.flatMap((line): BillItem[] => {
    const mine = order.weighings.filter((each) => each.lineKey === line.key);
    const packs = mine.filter((each) => each.kind === 'package');
    if (packs.length === 0) return [];
    const green = mine.filter((each) => each.kind === 'green').map((each) => each.net);
    const finished = sumWeights(packs.map((each) => each.net));
    return [
      {
        cut: line.cut,
        charges: [...line.charges, wrap],
        green: green.length > 0 ? sumWeights(green) : finished,
        finished,
        packages: packs.length,
        pieces: packs.reduce((sum, each) => sum + (each.pieces ?? 1), 0),
      },
    ];
  });
  return billFor(order.priceList, billBasis(order, expected.coldWeight, items));
}

export async function reconciliationOf(db: Database, order: Order): Promise<Reconciliation> {
  return reconciled(order, await balancesOfShare(db, order.share.id));
}

function reconciled(order: Order, postings: readonly Posting[]): Reconciliation {
  return reconcile({
    cold: sumWeights(coldSides(order).weights),
    expected: forecastOf(order),
    postings,
    weighed: order.weighings
      .filter((each) => each.kind === 'package' || each.kind === 'green')
      .map((each) => ({
        kind: each.kind as 'package' | 'green',
        lineKey: each.lineKey,
        cut: each.cut,
        destination: each.destination,
        net: each.net,
        pieces: each.pieces,
        from: each.source as 'share' | 'tub' | 'cure',
      })),
    packed: isPacked(order),
    lineTolerance: order.situation.species.tolerance.lineShare,
    unit: order.shop.unit,
  });
}

/** Whether nothing of the sheet is still waited for: packed, in cure, or explained. */
export function isPacked(order: Order): boolean {
  if (!order.start) return false;
  const settled = new Set(order.notes.map((note) => note.lineKey));
  return forecastOf(order).lines.every((line) => {
    const mine = order.weighings.filter((each) => each.lineKey === line.key);
    const packs = mine.filter((each) => each.kind === 'package').length;
    return settled.has(line.key) || packs >= line.packs || mine.some((each) => each.kind === 'green');
  });
}

export function orderStage(order: Order): Stage | null {
  return stageOf({
    hotWeighed: order.sides.every((side) => side.hot !== undefined),
    coldWeighed: order.sides.every((side) => side.cold !== undefined),
    sheetApproved: order.sheet?.approved === true,
    onTheBlock: order.start !== undefined,
    // Closed orders are many and their stage is known: no forecast is made for them.
    packed: order.closing === undefined && isPacked(order),
    closed: order.closing !== undefined,
    pickedUp: order.pickUp !== undefined,
  });
}

export function paidOf(order: Order): Cents {
  return sumCents(order.payments.map((payment) => payment.amount));
}

/** `Ferrand, left half`: how people name a share. */
export function shareName(order: Order): string {
  const part = order.share.part === 'whole' ? 'whole' : `${order.share.part} half`;
  return `${order.share.owner.name}, ${part}`;
}

/** Whole days since the animal was killed, by the shop's calendar. */
export function daysHung(order: Order, now: Date): number {
  return Math.max(0, daysBetween(order.animal.killDate, shopDay(order.shop, now)));
}
