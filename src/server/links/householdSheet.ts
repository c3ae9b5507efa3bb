import Joi from 'joi';
import type { PriceList } from '@/core/charges/priceList';
import type { ShareFile } from '@/core/order/shareFile';
import { partWords } from '@/core/order/naming';
import { stageRowOf, type StageRow } from '@/core/order/stageRow';
import type { ShareId } from '@/core/order/animal';
import { ZERO_CENTS } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import type { Species } from '@/core/species/types';
import { dayWords, daysAfter } from '@/core/time/shopTime';
import { linksOfShare } from '@/data/links';
import { id } from '../house/fields';
import { cutFileOf, fileOf } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { sheetOf, type SheetView } from '../sheet/sheetView';

/** A household's own sheet, with what it is told around it; nobody else's name or number is in it. */
export type HouseholdSheet = {
  readonly sheet: SheetView;
  readonly shopName: string;
  readonly household: string;
  readonly animal: {
    readonly species: string;
    readonly part: string;
    readonly farm: string;
    readonly tag: string;
  };
  readonly stage: StageRow['stage'];
  /** Days by the shop's calendar, in words. */
  readonly days: { readonly killed: string; readonly cut: string; readonly sheetBy: string };
  /** Whether what it costs is shown. */
  readonly prices: boolean;
};

/** The sheet of a household, for the household alone. */
export const householdSheetView = defineUseCase<{ shareId: ShareId }, HouseholdSheet>({
  name: 'householdSheetView',
  roles: OFFICE,
  others: ['household'],
  writes: false,
  input: Joi.object({ shareId: id }),
  run: async (house, { shareId }) => {
    const found = await cutFileOf(house, shareId);
    if (!found.ok) return found;
    const file = found.value;
    const own = await fileOf(house, shareId);
    if (!own.ok) return own;
    const { owner } = own.value.share;
    const { shop, animal, situation, rules } = file;
    const links = await linksOfShare(house.db, shareId);
    const mine = links.find((link) => link.id === house.actor.id);
    const prices = mine?.prices ?? true;
    const block = daysAfter(animal.killDate, situation.species.hang.targetDays);
    return success({
      sheet: { ...(await ownSheetOf(house, file, prices)), shareId, name: owner.name },
      shopName: shop.name,
      household: owner.name,
      animal: {
        species: situation.species.name.toLowerCase(),
        part: partWords(own.value),
        farm: animal.farm.name,
        tag: animal.tag,
      },
      stage: stageRowOf(file).stage,
      days: {
        killed: dayWords(animal.killDate),
        cut: dayWords(block),
        sheetBy: dayWords(daysAfter(block, -rules.sheetDays)),
      },
      prices,
    });
  },
});

/** The sheet without what is the shop's or another household's: names, numbers, calls, and prices where they are not shown. */
async function ownSheetOf(house: House, file: ShareFile, prices: boolean): Promise<SheetView> {
  const view = await sheetOf(house, file);
  return {
    ...view,
    contact: { name: file.share.owner.name, phone: null },
    calls: [],
    overrideReason: null,
    others: view.others.map((other) => ({ ...other, owner: 'the other household' })),
    priceList: prices ? view.priceList : withoutPrices(view.priceList),
    bill: prices ? view.bill : { ...view.bill, deposit: ZERO_CENTS },
  };
}

function withoutPrices(list: PriceList): PriceList {
  return { ...list, rules: [], minimumCents: ZERO_CENTS, taxBp: 0 };
}

/** The species of a household's sheet, for its browser to work with. */
export const householdSpeciesView = defineUseCase<{ shareId: ShareId }, Species>({
  name: 'householdSpeciesView',
  roles: OFFICE,
  others: ['household'],
  writes: false,
  input: Joi.object({ shareId: id }),
  run: async (house, { shareId }) => {
    const found = await cutFileOf(house, shareId);
    return found.ok ? success({ ...found.value.situation.species, names: [], absent: [] }) : found;
  },
});
