import type { BillBasis } from '@/core/charges/bill';
import type { PriceList } from '@/core/charges/priceList';
import type { CarcassFacts } from '@/core/carcass/condition';
import type { WeightBasis } from '@/core/hang/sideToCut';
import { counted } from '@/core/quantity/counted';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import type { Sheet } from '@/core/sheet/types';
import { callsOfShare, type Call } from '@/data/repositories/calls';
import { billBasis, coldSides, daysHung, shareName, sheetInForce, shopTime } from '../orderBook';
import { defineShareView } from './shareView';

export type NotedCall = Pick<Call, 'id' | 'reached' | 'said' | 'actorName'> & {
  /** `YYYY-MM-DD HH:MM` in the shop's zone. */
  readonly at: string;
};

/** All that the sheet needs to compute by itself, without asking the server again. */
export type SheetView = {
  readonly shareId: string;
  readonly name: string;
  readonly about: string;
  readonly species: string;
  readonly unit: WeighingUnit;
  readonly sides: 1 | 2;
  readonly addOns: readonly string[];
  readonly tools: readonly string[];
  readonly carcass: CarcassFacts;
  readonly coldSides: readonly Weight[];
  readonly weightBasis: WeightBasis;
  readonly sheet: Sheet;
  readonly version: number;
  readonly approved: boolean;
  readonly overrideReason: string | null;
  readonly locked: boolean;
  /** Whom to call about this share. */
  readonly contact: { readonly name: string; readonly phone: string | null };
  readonly calls: readonly NotedCall[];
  readonly priceList: PriceList;
  readonly bill: Pick<BillBasis, 'hot' | 'headSplit' | 'deposit'>;
};

export const sheetView = defineShareView<SheetView>('sheetView', async (house, order) => {
  const shareId = order.share.id;
  const { weights, basis } = coldSides(order);
  const { hot, headSplit, deposit } = billBasis(order, weights[0]!, []);
  const { species, unit, sides, addOns, tools, school, breaks, condition } = order.situation;
  const hung = counted(daysHung(order, house.now), 'day');
  return {
    shareId,
    name: shareName(order),
    about: `${species.name.toLowerCase()} ${order.animal.tag} from ${order.animal.farm.name}, ${basis === 'usual' ? 'not hung yet' : `hung ${hung}`}`,
    species: species.id,
    unit,
    sides,
    addOns,
    tools,
    carcass: {
      ...(school ? { school } : {}),
      ...(breaks ? { breaks } : {}),
      ...(condition ? { condition } : {}),
    },
    coldSides: weights,
    weightBasis: basis,
    sheet: sheetInForce(order),
    version: order.sheet?.version ?? 0,
    approved: order.sheet?.approved ?? false,
    overrideReason: order.sheet?.overrideReason ?? null,
    locked: order.start !== undefined,
    contact: { name: order.share.contact.name, phone: order.share.contact.phone },
    calls: (await callsOfShare(house.db, shareId)).map(({ id: callId, reached, said, actorName, at }) => ({
      id: callId,
      reached,
      said,
      actorName,
      at: shopTime(order.shop, new Date(at)),
    })),
    priceList: order.priceList,
    bill: { hot, headSplit, deposit },
  };
});
