import {
  changePrices,
  importPrices,
  priceFileView,
  putPricesAway,
  putPricesInForce,
  startPriceList,
  takeBackPrice,
} from './prices';
import { pricesView } from './pricesView';

export type { HistoryStep, ListInHand, PricesView, StandingList, WorkedOrder } from './pricesView';

export const shop = {
  pricesView,
  startPriceList,
  changePrices,
  takeBackPrice,
  importPrices,
  putPricesInForce,
  putPricesAway,
  priceFileView,
} as const;
