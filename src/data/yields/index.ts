export {
  allYieldRows,
  closedWithoutYield,
  speciesOfYield,
  writeYields,
  yieldRows,
  YIELDS_VERSION,
} from './yields';
