export { deviationsOfShares, writeDeviation } from './deviations';
export {
  startsOf,
  startsWithoutPlan,
  writeBlockStart,
  writePlan,
  writeRemadePlan,
  type Started,
} from './starts';
export { isPieceOfLoad, pieceWeightsOf, stepMarksOf, writePieceWeight, writeStepMark } from './work';
