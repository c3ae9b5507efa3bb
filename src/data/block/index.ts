export { deviationsOfShares, writeDeviation } from './deviations';
export { startsOf, startsWithoutPlan, writeBlockStart, writePlan, type Started } from './starts';
export { pieceOfLoad, pieceWeightsOf, stepMarksOf, writePieceWeight, writeStepMark } from './work';
