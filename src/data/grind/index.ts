export {
  batchesBegunOn,
  batchesOfShares,
  isBatchLoad,
  lastLots,
  shareOfBatch,
  sharesOfLot,
  writeBatch,
  writeBatchEvent,
} from './batches';
