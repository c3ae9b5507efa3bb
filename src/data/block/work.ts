import type { HandId } from '@/core/block/hand';
import type { BlockStepMark, PieceWeight } from '@/core/block/work';
import type { ShareId } from '@/core/order/animal';
import type { Database } from '../database';

export async function writeStepMark(db: Database, mark: BlockStepMark): Promise<void> {
  await db('blockSteps').insert(mark);
}

/** Every mark on the steps of a share, in the order they were made. */
export async function stepMarksOf(db: Database, shareId: ShareId): Promise<BlockStepMark[]> {
  const rows: BlockStepMark[] = await db('blockSteps').where({ shareId }).orderBy('rowid');
  return rows.map((row) => ({ ...row, done: Boolean(row.done) }));
}

export async function writePieceWeight(db: Database, weight: PieceWeight): Promise<void> {
  await db('pieceWeights').insert(weight);
}

/** Every weight of the pieces of a share, in the order they were taken. */
export async function pieceWeightsOf(db: Database, shareId: ShareId): Promise<PieceWeight[]> {
  const rows: PieceWeight[] = await db('pieceWeights').where({ shareId }).orderBy('rowid');
  return rows.map((row) => ({ ...row, counts: Boolean(row.counts) }));
}

/** What a load of a scale was taken for at the block; undefined where it was not. */
export async function pieceOfLoad(
  db: Database,
  scaleId: string,
  loadId: string,
): Promise<{ readonly piece: string; readonly hand: HandId } | undefined> {
  return db('pieceWeights').where({ scaleId, loadId }).first('piece', 'hand');
}
