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
