import {
  changePrices,
  importPrices,
  priceFileView,
  putPricesAway,
  putPricesInForce,
  startPriceList,
  takeBackPrice,
} from './prices';
import { hangsOnView } from './hangsOnView';
import { pricesView } from './pricesView';
import { cutCardsView } from './cutCardsView';
import { labelSampleView } from './labelSampleView';
import { changeSetUp } from './setUp';
import { setUpView } from './setUpView';
import { bookRowsView, wholeBookView } from './wholeBook';
import { yearView } from './yearView';
import { speciesFileView, triedFileView } from './speciesFiles';

export type { HangsOn } from './hangsOnView';
export type { SaidChange } from './setUp';
export type { LabelSample } from './labelSampleView';
export type { YearView } from './yearView';
export type { TriedFile } from './speciesFiles';
export type { SetUpView, SpeciesAtHome } from './setUpView';
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
  hangsOnView,
  setUpView,
  changeSetUp,
  triedFileView,
  speciesFileView,
  labelSampleView,
  cutCardsView,
  yearView,
  wholeBookView,
  bookRowsView,
} as const;
