import Joi from 'joi';
import type { PriceList } from '@/core/charges/priceList';
import type { ShareFile } from '@/core/order/shareFile';
import { partWords } from '@/core/order/naming';
import { answerBy } from '@/core/order/noAnswer';
import { billBasis } from '@/core/order/standing';
import type { ShareId } from '@/core/order/animal';
import type { Statement } from '@/core/order/settlement';
import { sheetCopyOf, type SheetCopy } from '@/core/order/sheetCopy';
import { ZERO_CENTS } from '@/core/quantity/money';
import { success, type Result } from '@/core/quantity/result';
import type { Species } from '@/core/species/types';
import { dayWords, momentWords } from '@/core/time/shopTime';
import { sendsOfShare } from '@/data/links';
import { id } from '../house/fields';
import { refuse, type Reason } from '../house/reasons';
import { cutFileOf, fileOf } from '../house/shareView';
import { statementFor } from '../settle/statementView';
import { defineUseCase, type House } from '../house/useCase';
import { cutDayOf, householdCalendar, type CalendarFile } from '../week';
import { openSheetOf, type OpenSheet } from '../sheet/sheetView';
import type { ShopFront } from './triedSheets';
import { maySeePrices } from './visitor';

/** A household's own sheet, with what it is told around it; nobody else's name or number is in it. */
export type HouseholdSheet = {
  readonly shareId: ShareId;
  readonly sheet: OpenSheet;
  /** When it was last sent to the shop; null when it was not. */
  readonly sent: string | null;
  readonly shop: ShopFront;
  readonly household: string;
  /** Whether whoever looks is the farmer, and not the household. */
  readonly byFarmer: boolean;
  readonly animal: {
    readonly species: string;
    readonly part: string;
    readonly farm: string;
  };
  /** Days by the shop's calendar, in words. */
  readonly days: { readonly killed: string; readonly cut: string; readonly sheetBy: string };
  /** Whether what it costs is shown. */
  readonly prices: boolean;
  /** Where it stands: on the sheet, being cut, ready to be collected, or gone home. */
  readonly standing: 'sheet' | 'block' | 'ready' | 'gone';
};

/** A view for the household of a share and for the farmer of its animal, by the file it is cut by and by its own. */
function defineOwnView<Output>(
  name: string,
  show: (
    house: House,
    files: { readonly cut: ShareFile; readonly own: ShareFile },
  ) => Promise<Result<Output, Reason>>,
) {
  return defineUseCase<{ shareId: ShareId }, Output>({
    name,
    roles: [],
    others: ['household', 'farmer'],
    writes: false,
    input: Joi.object({ shareId: id }),
    run: async (house, { shareId }) => {
      const [cut, own] = [await cutFileOf(house, shareId), await fileOf(house, shareId)];
      if (!cut.ok) return cut;
      if (!own.ok) return own;
      return show(house, { cut: cut.value, own: own.value });
    },
  });
}

/** The sheet of a household, for the household alone. */
export const householdSheetView = defineOwnView<HouseholdSheet>(
  'householdSheetView',
  async (house, { cut, own }) => {
    const { shop, animal, situation } = cut;
    const prices = await maySeePrices(house.db, house.actor);
    const [sent] = await sendsOfShare(house.db, cut.share.id);
    const { cutOn } = await cutDayOf(house, cut);
    return success({
      shareId: own.share.id,
      sheet: ownSheetOf(house, { cut, own }, prices),
      sent: sent ? momentWords(shop.zone, sent.at) : null,
      shop: { name: shop.name, phone: shop.phone },
      household: own.share.owner.name,
      byFarmer: house.actor.kind === 'farmer',
      animal: {
        species: situation.species.name.toLowerCase(),
        part: partWords(own),
        farm: animal.farm.name,
      },
      days: {
        killed: dayWords(animal.killDate),
        cut: dayWords(cutOn),
        sheetBy: dayWords(answerBy(cut)),
      },
      prices,
      standing: own.pickUp ? 'gone' : own.closing ? 'ready' : own.start ? 'block' : 'sheet',
    });
  },
);

/** The approved sheet of a household, to keep. */
export const householdCopyView = defineOwnView<SheetCopy>('householdCopyView', async (house, { cut, own }) =>
  cut.sheet?.approved || cut.start
    ? success(sheetCopyOf(cut, own, await maySeePrices(house.db, house.actor)))
    : refuse('not-approved', 'The shop has not taken your sheet yet.'),
);

/** The days of a household's meat, for its own calendar. */
export const householdCalendarView = defineOwnView<CalendarFile>('householdCalendarView', (house, { own }) =>
  householdCalendar(house, own),
);

/** The statement of a household, once its bill is final and its link shows prices. */
export const householdStatementView = defineOwnView<Statement>(
  'householdStatementView',
  async (house, { own }) => {
    if (!own.closing) return refuse('not-closed', 'The bill is not final yet.');
    const prices = house.actor.kind === 'household' && (await maySeePrices(house.db, house.actor));
    return prices
      ? success(await statementFor(house, own))
      : refuse('not-allowed', 'Ask us for the statement.');
  },
);

/** The sheet that a household is cut by, with its own bill, and without prices where they are not shown. */
function ownSheetOf(
  house: House,
  { cut, own }: { readonly cut: ShareFile; readonly own: ShareFile },
  prices: boolean,
): OpenSheet {
  const sheet = openSheetOf(house, cut);
  const { animal, hot, headSplit, deposit } = billBasis(own, sheet.coldSides[0]!, []);
  return {
    ...sheet,
    shareId: own.share.id,
    priceList: prices ? sheet.priceList : withoutPrices(sheet.priceList),
    bill: { animal, hot, headSplit, deposit: prices ? deposit : ZERO_CENTS },
  };
}

function withoutPrices(list: PriceList): PriceList {
  return { ...list, rules: [], minimumCents: ZERO_CENTS, taxBp: 0 };
}

/** The species of a household's sheet, for its browser to work with. */
export const householdSpeciesView = defineOwnView<Species>(
  'householdSpeciesView',
  async (_, { cut: { situation } }) => success({ ...situation.species, names: [], absent: [] }),
);
