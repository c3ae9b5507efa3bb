export { rememberedOf, writeFarmNote, type FarmNote } from './farmNotes';
export {
  closedWithoutYield,
  namesOfYields,
  speciesOfYield,
  writeYields,
  yieldRows,
  yieldRowsOfAnimal,
  yieldRowsOfFarm,
  yieldRowsOfYear,
  yieldYears,
  YIELDS_VERSION,
} from './yields';
