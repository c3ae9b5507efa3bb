export { happeningsBetween, type Between } from './happenings';
export {
  drillById,
  drillUnderWay,
  ingredientLots,
  lastCleaned,
  signingsOf,
  writeCleaning,
  writeDaySigning,
  writeDrill,
  writeDrillEvent,
  writeIngredientLot,
  type IngredientLot,
} from './records';
