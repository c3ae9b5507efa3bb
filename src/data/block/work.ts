import type { HandWork } from '@/core/block/handWork';
import type { BlockStepMark, PieceWeight } from '@/core/block/work';
import type { ShareId } from '@/core/order/animal';
import type { ScaleReading } from '@/core/scale/reading';
import type { Database } from '../database';

export async function writeStepMark(db: Database, mark: BlockStepMark): Promise<void> {
  await db('blockSteps').insert(mark);
}

/** Every mark on the steps of a share, in the order they were made. */
export async function stepMarksOf(db: Database, shareId: ShareId): Promise<BlockStepMark[]> {
  const rows: BlockStepMark[] = await db('blockSteps').where({ shareId }).orderBy('rowid');
  return rows.map((row) => ({ ...row, done: Boolean(row.done) }));
}

export async function writeHandWork(db: Database, work: HandWork): Promise<void> {
  await db('handWork').insert(work);
}

/** Everything that was said of who cut, boned and trimmed a share, in the order it was said. */
export async function handWorkOf(db: Database, shareId: ShareId): Promise<HandWork[]> {
  return db('handWork').where({ shareId }).orderBy('rowid');
}

export async function writePieceWeight(db: Database, weight: PieceWeight): Promise<void> {
  await db('pieceWeights').insert(weight);
}

/** Every weight of the pieces of a share, in the order they were taken. */
export async function pieceWeightsOf(db: Database, shareId: ShareId): Promise<PieceWeight[]> {
  const rows: PieceWeight[] = await db('pieceWeights').where({ shareId }).orderBy('rowid');
  return rows.map((row) => ({ ...row, counts: Boolean(row.counts) }));
}

/**
 * Whether what lies on a scale was taken at the block. Of what was found there when the connection began, it may be the
 * last that was taken, if it weighs the same.
 */
export async function isPieceOfLoad(
  db: Database,
  { scaleId, loadId, gross, found }: Pick<ScaleReading, 'scaleId' | 'loadId' | 'gross' | 'found'>,
): Promise<boolean> {
  if (await db('pieceWeights').where({ scaleId, loadId }).first('piece')) return true;
  if (!found) return false;
  const last = await db('pieceWeights').where({ scaleId }).orderBy('rowid', 'desc').first('gross');
  return last?.gross === gross;
}
