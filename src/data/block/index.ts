export { deviationsOfShares, writeDeviation } from './deviations';
export {
  startsOf,
  startsWithoutPlan,
  writeBlockStart,
  writePlan,
  writeRemadePlan,
  type Started,
} from './starts';
export {
  handWorkOf,
  isPieceOfLoad,
  pieceWeightsOf,
  stepMarksOf,
  writeHandWork,
  writePieceWeight,
  writeStepMark,
} from './work';
