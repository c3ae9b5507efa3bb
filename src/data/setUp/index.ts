export {
  changeShop,
  hasShop,
  priceListsById,
  readHouseRules,
  readPriceLists,
  readShop,
  writeHouseRules,
  writePriceList,
  writeShop,
} from './shop';
export {
  draftOf,
  draftsInHand,
  endDraft,
  takeBackChange,
  sharesByList,
  writeChange,
  writeDraft,
  type DraftChange,
  type PriceDraft,
} from './prices';
export { SetUps, writeStep, type ShopSetUp } from './setUps';
export { markAsSample, removeSample } from './sample';
