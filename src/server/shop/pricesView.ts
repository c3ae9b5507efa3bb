import Joi from 'joi';
import { itemsOfForecast, type BillBasis } from '@/core/charges/bill';
import { changeWords, copyOf, withChange } from '@/core/charges/changes';
import { workKeys } from '@/core/charges/keys';
import { listInForce, type PriceList } from '@/core/charges/priceList';
import type { Catalogue } from '@/core/catalogue/catalogue';
import { forecast } from '@/core/forecast/forecast';
import { animalWords, shareName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { billBasis, planOf } from '@/core/order/standing';
import { ZERO_CENTS } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import { convertUnits, weight, type WeighingUnit } from '@/core/quantity/weight';
import { houseSheet } from '@/core/sheet/houseSheet';
import type { Situation } from '@/core/sheet/situation';
import { dayIn, timeIn } from '@/core/time/shopTime';
import { liveShares, readShareFiles } from '@/data/rail';
import { draftsInHand, readPriceLists, readShop, sharesByList, type PriceDraft } from '@/data/setUp';
import { defineUseCase } from '../house/useCase';
import { listInHand } from './draft';

/** A list that is or was in force, and how many shares were booked under it. */
export type StandingList = {
  readonly list: PriceList;
  readonly shares: number;
  readonly state: 'closed' | 'in force' | 'coming';
};

/** One step in the history of a list in hand. */
export type HistoryStep = {
  readonly id: string;
  readonly words: string;
  /** Day and time in the shop's zone. */
  readonly at: string;
  readonly who: string;
  readonly takenBack: boolean;
};

export type ListInHand = {
  readonly id: string;
  readonly baseId: string;
  readonly list: PriceList;
  /** The newest first. */
  readonly history: readonly HistoryStep[];
};

/** An order that a list is worked on. */
export type WorkedOrder = {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly basis: BillBasis;
};

export type PricesView = {
  /** By the shop's calendar. */
  readonly today: string;
  readonly unit: WeighingUnit;
  readonly standing: readonly StandingList[];
  readonly inHand: readonly ListInHand[];
  readonly orders: readonly WorkedOrder[];
  /** Work that a charge can hang on, and the species that can pay it. */
  readonly keys: readonly string[];
  readonly species: readonly { readonly id: string; readonly name: string }[];
};

/** So many of the shop's own orders are at hand to work a list on. */
const MOST_ORDERS = 12;

/** Every price list with what was booked under it, those in hand with their history, and orders to work them on. */
export const pricesView = defineUseCase<Record<string, never>, PricesView>({
  name: 'pricesView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({}),
  run: async ({ db, setUps, setUp, catalogue, now }) => {
    const shop = await readShop(db);
    const today = dayIn(shop.zone, now);
    const lists = await readPriceLists(db);
    const current = listInForce(lists, today);
    const used = await sharesByList(db);
    const drafts = await draftsInHand(db);
    const shareIds = await liveShares(db, ['sheet', 'wrap', 'reconcile', 'settle']);
    const files = await readShareFiles(db, setUps, shareIds.slice(0, MOST_ORDERS));
    return success({
      today,
      unit: shop.unit,
      standing: lists.map((list): StandingList => {
        const state = list.id === current?.id ? 'in force' : list.effectiveFrom > today ? 'coming' : 'closed';
        return { list, shares: used.get(list.id) ?? 0, state };
      }),
      inHand: drafts.map((draft) => ({
        id: draft.id,
        baseId: draft.baseId,
        list: listInHand(lists, draft),
        history: historyOf(lists, draft, shop.zone),
      })),
      orders: [
        ...files.filter((file) => file.sheet).map(orderOf),
        ...usualOrders(catalogue, shop.unit, setUp.rules.tools),
      ],
      keys: [...workKeys(catalogue)].sort(),
      species: catalogue.species.map(({ id, name }) => ({ id, name })),
    });
  },
});

/** Each step against the list as it stood before it. */
function historyOf(lists: readonly PriceList[], draft: PriceDraft, zone: string): HistoryStep[] {
  const base = lists.find((list) => list.id === draft.baseId)!;
  let before = copyOf(base, draft);
  const steps = draft.changes.map(({ id, change, at, actorName, takenBack }) => {
    const step = {
      id,
      words: changeWords(before, change),
      at: timeIn(zone, new Date(at)),
      who: actorName,
      takenBack,
    };
    if (!takenBack) before = withChange(before, change);
    return step;
  });
  return steps.reverse();
}

function orderOf(file: ShareFile): WorkedOrder {
  const { expected, wrap } = planOf(file);
  return {
    id: file.share.id,
    name: shareName(file),
    about: animalWords(file),
    basis: billBasis(file, expected.coldWeight, itemsOfForecast(expected, wrap)),
  };
}

/** A usual half of each species, for a shop that has no order yet and for charges that none of its orders meets. */
function usualOrders(catalogue: Catalogue, unit: WeighingUnit, tools: readonly string[]): WorkedOrder[] {
  return catalogue.species.map((species) => {
    const situation: Situation = { species, unit, sides: 1, addOns: [], tools };
    const sheet = houseSheet(situation);
    const cold = weight(convertUnits(species.atlas.reference.sideLb, 'lb', unit));
    const expected = forecast(situation, sheet, [cold]);
    return {
      id: species.id,
      name: `A usual ${species.sideWord}`,
      about: 'by the house standard',
      basis: {
        animal: { species: species.id, hot: weight((2 * cold) / 1000) },
        hot: cold,
        cold,
        headSplit: { parts: [1, 1], index: 0 },
        items: itemsOfForecast(expected, sheet.wrap),
        deposit: ZERO_CENTS,
      },
    };
  });
}
