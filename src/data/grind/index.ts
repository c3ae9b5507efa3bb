export {
  batchesBegunOn,
  batchesOfShares,
  isBatchLoad,
  shareOfBatch,
  writeBatch,
  writeBatchEvent,
} from './batches';
