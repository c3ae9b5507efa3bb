import Joi from 'joi';
import { daysBetween, expectedCold, shrinkPct, shrinkWorking } from '@/core/hang/shrink';
import { success } from '@/core/quantity/result';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import type { Working } from '@/core/working/working';
import { EVERYONE, defineUseCase } from '../doorway';
import { allOrders, daysHung, netOf, shareName, shopDay, type Order } from '../orderBook';

export type SideOnRail = {
  readonly sideId: string;
  readonly position: 'left' | 'right';
  readonly hot: Weight | null;
  readonly hotTare: Weight;
  readonly cold: Weight | null;
  readonly expectedCold: Weight | null;
  readonly shrink: Weight | null;
  readonly shrinkPct: number | null;
  readonly expectedShrinkPct: number | null;
  readonly onBlock: boolean;
};

export type AnimalOnRail = {
  readonly animalId: string;
  readonly tag: string;
  readonly species: string;
  readonly farm: string;
  readonly shares: string;
  /** Parts left on and weighed in, as the booking form names them. */
  readonly weighedIn: readonly string[];
  readonly killDate: string;
  readonly days: number;
  readonly targetDays: number;
  readonly longestDays: number;
  /** The hot weight is younger than a day: the heat is not out of the bone yet. */
  readonly chilling: boolean;
  readonly sides: readonly SideOnRail[];
  readonly working: Working;
};

export type HangBoard = {
  readonly unit: WeighingUnit;
  readonly caution: string;
  readonly animals: readonly AnimalOnRail[];
};

/** What hangs, side by side, with its shrink beside the shrink to expect. */
export const hangView = defineUseCase<Record<string, never>, HangBoard>({
  name: 'hangView',
  roles: EVERYONE,
  writes: false,
  input: Joi.object({}),
  run: async (house) => {
    const orders = (await allOrders(house.db)).filter((order) => !order.start);
    const ids = [...new Set(orders.map((order) => order.animal.id))];
    const animals = ids.map((id) =>
      animalOnRail(
        orders.filter((order) => order.animal.id === id),
        house.now,
      ),
    );
    const [first] = orders;
    const caution = first?.situation.species.cautions.find((each) => each.where === 'hang')?.text ?? '';
    return success({ unit: first?.shop.unit ?? 'lb', caution, animals });
  },
});

/** Until a side has hung this long, it is chilled and not cut. */
const CHILL_HOURS = 24;

function isYoung(at: string, now: Date): boolean {
  return now.getTime() - Date.parse(at) < CHILL_HOURS * 3_600_000;
}

function animalOnRail(orders: readonly Order[], now: Date): AnimalOnRail {
  const [order] = orders as [Order];
  const { species } = order.situation;
  const days = daysHung(order, now);
  return {
    animalId: order.animal.id,
    tag: order.animal.tag,
    species: species.name,
    farm: order.animal.farm.name,
    shares: orders.map(shareName).join(' · '),
    weighedIn: species.atlas.addOns
      .filter((addOn) => order.animal.addOns.includes(addOn.atom.id))
      .map((addOn) => addOn.label),
    killDate: order.animal.killDate,
    days,
    targetDays: species.hang.targetDays,
    longestDays: species.hang.longestDays,
    chilling: orders.some((each) => each.sides.some(({ hot }) => hot && isYoung(hot.at, now))),
    sides: orders.flatMap((each) => each.sides.map((side) => sideOnRail(each, side, now))),
    working: shrinkWorking(species.shrink[0]!, days),
  };
}

function sideOnRail(order: Order, { side, hot, cold }: Order['sides'][number], now: Date): SideOnRail {
  const curve = order.situation.species.shrink[0]!;
  const until = cold ? new Date(cold.at) : now;
  const days = Math.max(0, daysBetween(order.animal.killDate, shopDay(order.shop, until)));
  const hotNet = hot ? netOf(hot) : null;
  const coldNet = cold ? netOf(cold) : null;
  const expected = hotNet === null ? null : expectedCold(curve, hotNet, days);
  return {
    sideId: side.id,
    position: side.position,
    hot: hotNet,
    hotTare: hot?.tare ?? (0 as Weight),
    cold: coldNet,
    expectedCold: expected,
    shrink: hotNet !== null && coldNet !== null ? ((hotNet - coldNet) as Weight) : null,
    shrinkPct: hotNet !== null && coldNet !== null ? shrinkPct(hotNet, coldNet) : null,
    expectedShrinkPct: hotNet !== null && expected !== null ? shrinkPct(hotNet, expected) : null,
    onBlock: order.start !== undefined,
  };
}
