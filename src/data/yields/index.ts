export { rememberedOf, writeFarmNote, type FarmNote } from './farmNotes';
export {
  allYieldRows,
  closedWithoutYield,
  speciesOfYield,
  writeYields,
  yieldRows,
  YIELDS_VERSION,
} from './yields';
