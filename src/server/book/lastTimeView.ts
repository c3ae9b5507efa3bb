import Joi from 'joi';
import { billFor, itemsOfForecast } from '@/core/charges/bill';
import { listInForce } from '@/core/charges/priceList';
import { forecast } from '@/core/forecast/forecast';
import type { ShareId } from '@/core/order/animal';
import { billBasis, coldSides, coldWeight } from '@/core/order/standing';
import type { ShareFile } from '@/core/order/shareFile';
import type { Cents } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import { sheetAgain, type Again } from '@/core/sheet/again';
import { dayIn } from '@/core/time/shopTime';
import { readPriceLists } from '@/data/setUp';
import { id } from '../house/fields';
import { refuse } from '../house/reasons';
import { fileOf } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';

export type LastTime = {
  readonly shareId: ShareId;
  /** What the same sheet costs today beside what it cost then, on the same weights; cents. */
  readonly then: Cents;
  readonly today: Cents;
  readonly sign: string;
  /** What is no longer offered. */
  readonly gone: Again['gone'];
};

/** The same as last time: at today's prices, naming what is no longer to be had. */
export const lastTimeView = defineUseCase<{ shareId: ShareId }, LastTime>({
  name: 'lastTimeView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ shareId: id }),
  run: async (house, { shareId }) => {
    const found = await fileOf(house, shareId);
    if (!found.ok) return found;
    const file = found.value;
    if (!file.sheet) return refuse('no-sheet', 'There was no sheet last time.');
    const { sheet, gone } = againOf(house, file);
    const lists = await readPriceLists(house.db);
    const { zone } = file.shop;
    const list = listInForce(lists, dayIn(zone, house.now)) ?? file.priceList;
    const totalBy = (prices: typeof list, asked: typeof sheet, situation: ShareFile['situation']) => {
      const expected = forecast(situation, asked, coldSides(file).weights);
      const items = itemsOfForecast(expected, asked.wrap);
      return billFor(prices, billBasis(file, coldWeight(file), items)).total;
    };
    return success({
      shareId,
      then: totalBy(file.priceList, file.sheet.sheet, file.situation),
      today: totalBy(list, sheet, situationToday(house, file)),
      sign: list.sign,
      gone,
    });
  },
});

function situationToday({ catalogue, setUp }: House, { situation }: ShareFile): ShareFile['situation'] {
  const species = catalogue.species.find(({ id: known }) => known === situation.species.id)!;
  return { ...situation, species, tools: setUp.rules.tools };
}

/** A sheet of before as it can be asked for today, of an animal like that one. */
export function againOf(house: House, file: ShareFile): Again {
  return sheetAgain(file.sheet!.sheet, situationToday(house, file));
}
