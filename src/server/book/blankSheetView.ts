import Joi from 'joi';
import { listInForce } from '@/core/charges/priceList';
import { blankSheetOf, type BlankSheet } from '@/core/order/blankSheet';
import { typicalSituation } from '@/core/order/typicalShare';
import { success } from '@/core/quantity/result';
import { dayIn } from '@/core/time/shopTime';
import { readPriceLists, readShop } from '@/data/setUp';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';

/** The blank sheet of a species, with prices and plain explanations: anyone may see it by the shop's link. */
export const blankSheetView = defineUseCase<{ species: string }, BlankSheet>({
  name: 'blankSheetView',
  roles: STAFF,
  others: ['public'],
  writes: false,
  input: Joi.object({ species: Joi.string().max(40).required() }),
  run: async ({ db, now, catalogue, setUp }, { species: wanted }) => {
    const species = catalogue.species.find(({ id }) => id === wanted);
    if (!species) return refuse('not-found', 'We do not cut that animal.', 'species');
    const shop = await readShop(db);
    const list = listInForce(await readPriceLists(db), dayIn(shop.zone, now));
    const situation = typicalSituation({ species, unit: shop.unit, tools: setUp.rules.tools, sides: 1 });
    return success(blankSheetOf(situation, { shopName: shop.name, list }));
  },
});
