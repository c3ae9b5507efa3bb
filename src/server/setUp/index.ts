export { prepareShop } from './prepareShop';
export { readPriceList, setUpShop, type NewShop } from './setUpShop';
