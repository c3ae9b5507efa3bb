export {
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
export { markAsSample, removeSample } from './sample';
