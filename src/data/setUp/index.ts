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
export { markAsSample, removeSample } from './sample';
