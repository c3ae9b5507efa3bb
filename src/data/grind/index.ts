export {
  poolWordsOf,
  SAID_HOW,
  sharesThatPool,
  writePoolWord,
  type PoolWord,
  type SaidHow,
} from './poolWords';
export {
  batchesBegunOn,
  batchesOfShares,
  isBatchLoad,
  lastBegun,
  lastLots,
  shareOfBatch,
  sharesOfLot,
  writeBatch,
  writeBatchEvent,
} from './batches';
