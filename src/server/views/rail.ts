import Joi from 'joi';
import { STAGES, type Stage } from '@/core/order/stage';
import { counted } from '@/core/quantity/counted';
import { success } from '@/core/quantity/result';
import { cents, formatMoney } from '@/core/quantity/money';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import { readShop } from '@/data/repositories/shop';
import { EVERYONE, defineUseCase, type House } from '../doorway';
import {
  allOrders,
  coldSides,
  daysHung,
  forecastOf,
  openQuestions,
  orderStage,
  paidOf,
  reconciliationOf,
  shareName,
  type Order,
} from '../orderBook';

/** One share as it hangs on the rail. */
export type Ticket = {
  readonly shareId: string;
  readonly animalId: string;
  readonly name: string;
  readonly tag: string;
  readonly species: string;
  readonly farm: string;
  /** Null when it has been picked up. */
  readonly stage: Stage | null;
  /** The one figure or fact that matters at its stage. */
  readonly fact: string;
  /** What somebody has to look at; empty when all is well. */
  readonly flag: string;
};

export type Rail = {
  readonly shop: { readonly name: string; readonly unit: 'lb' | 'kg'; readonly demo: boolean };
  readonly tickets: readonly Ticket[];
  readonly counts: Readonly<Record<Stage, number>>;
};

/** Everything on the rail, share by share, with the stage it waits at. */
export const railView = defineUseCase<Record<string, never>, Rail>({
  name: 'railView',
  roles: EVERYONE,
  writes: false,
  input: Joi.object({}),
  run: async (house) => {
    const orders = await allOrders(house.db);
    const tickets = await Promise.all(orders.map((order) => ticketOf(house, order)));
    const counts = Object.fromEntries(
      STAGES.map((stage) => [stage, tickets.filter((ticket) => ticket.stage === stage).length]),
    ) as Record<Stage, number>;
    const shop = await readShop(house.db);
    return success({ shop: { name: shop.name, unit: shop.unit, demo: shop.demo }, tickets, counts });
  },
});

async function ticketOf(house: House, order: Order): Promise<Ticket> {
  const stage = orderStage(order);
  const { fact, flag } = await factAt(house, order, stage);
  return {
    shareId: order.share.id,
    animalId: order.animal.id,
    name: shareName(order),
    tag: order.animal.tag,
    species: order.situation.species.name,
    farm: order.animal.farm.name,
    stage,
    fact,
    flag,
  };
}

async function factAt(
  house: House,
  order: Order,
  stage: Stage | null,
): Promise<{ fact: string; flag: string }> {
  const unit = order.shop.unit;
  const hung = `${counted(daysHung(order, house.now), 'day')} hung`;
  switch (stage) {
    case null:
      return { fact: `picked up by ${order.pickUp!.takenBy}`, flag: '' };
    case 'book':
      return { fact: `kill day ${order.animal.killDate}`, flag: order.sheet ? '' : 'no sheet yet' };
    case 'hang':
      return { fact: hung, flag: 'cold weight missing' };
    case 'sheet': {
      const open = openQuestions(order).filter((finding) => finding.blocks).length;
      const flag = !order.sheet ? 'no sheet yet' : open > 0 ? `${open} open` : 'to approve';
      return { fact: hung, flag };
    }
    case 'wrap': {
      if (!order.start)
        return { fact: `${formatWeight(sumWeights(coldSides(order).weights))} ${unit} cold`, flag: '' };
      const packs = order.weighings.filter((each) => each.kind === 'package').length;
      const asked = forecastOf(order).lines.reduce((sum, line) => sum + line.packs, 0);
      return { fact: `${packs} of about ${asked} packs`, flag: sheetNote(order) };
    }
    case 'reconcile': {
      const balance = await reconciliationOf(house.db, order);
      const flag = balance.inCure > 0 ? 'in cure' : balance.verdict === 'usual' ? '' : balance.verdict;
      return { fact: `${(balance.unaccountedBp / 100).toFixed(1)} % unaccounted`, flag };
    }
    case 'settle': {
      const due = order.closing!.bill.due - paidOf(order);
      const fact = due > 0 ? `${formatMoney(cents(due), order.priceList.sign)} due` : 'paid';
      return { fact, flag: due > 0 ? '' : 'ready to go' };
    }
  }
}

function sheetNote(order: Order): string {
  return order.sheet?.sheet.instructions ? 'read the note' : '';
}
