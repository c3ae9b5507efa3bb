import Joi from 'joi';
import lists from '#demo/price-lists.json';
import type { PriceList } from '../charges/priceList';
import { priceListSchema } from '../charges/priceListSchema';

/** The demo shop's dated prices, as their file says them. */
export const demoPrices: readonly PriceList[] = lists.map(
  (list) => Joi.attempt(list, priceListSchema) as PriceList,
);
