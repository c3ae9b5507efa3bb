import type { ShareId } from '@/core/order/animal';
import type { LineNote, VoidedWeighing, Weighing, WeighingId, WeighingVoid } from '@/core/order/work';
import type { Database } from '../database';

function standing(db: Database) {
  return db('weighings').whereNotExists(
    db('weighingVoids').select(db.raw('1')).whereRaw('weighingVoids.weighingId = weighings.id'),
  );
}

/** The weighings of these shares that are not voided, in the order they were taken. */
export async function weighingsOfShares(db: Database, shareIds: readonly ShareId[]): Promise<Weighing[]> {
  return standing(db)
    .whereIn('shareId', [...shareIds])
    .orderBy('serial')
    .select();
}

/** The standing weighing that took a load of a scale. */
export async function weighingOfLoad(
  db: Database,
  scaleId: string,
  loadId: string,
): Promise<Weighing | undefined> {
  return standing(db).where({ scaleId, loadId }).first();
}

export async function weighingById(db: Database, id: WeighingId): Promise<Weighing | undefined> {
  return db('weighings').where({ id }).first();
}

/** The serial number of the next weighing. Read and used inside one transaction. */
export async function nextSerial(db: Database): Promise<number> {
  const row = await db('weighings').max('serial as last').first();
  return Number(row?.last ?? 0) + 1;
}

export async function writeWeighing(db: Database, weighing: Weighing): Promise<void> {
  await db('weighings').insert(weighing);
}

export async function isVoided(db: Database, weighingId: WeighingId): Promise<boolean> {
  return (await db('weighingVoids').where({ weighingId }).first()) !== undefined;
}

export async function writeVoid(db: Database, entry: WeighingVoid): Promise<void> {
  await db('weighingVoids').insert(entry);
}

/** What was taken back from a share, with the reasons. */
export async function voidsOfShare(db: Database, shareId: ShareId): Promise<VoidedWeighing[]> {
  return db('weighings')
    .join('weighingVoids', 'weighingVoids.weighingId', 'weighings.id')
    .where({ shareId })
    .orderBy('serial')
    .select('weighings.*', 'weighingVoids.reason');
}

/** The line notes of these shares, in the order they were written. */
export async function lineNotesOfShares(db: Database, shareIds: readonly ShareId[]): Promise<LineNote[]> {
  return db('lineNotes')
    .whereIn('shareId', [...shareIds])
    .orderBy('rowid');
}

export async function writeLineNote(db: Database, note: LineNote): Promise<void> {
  await db('lineNotes').insert(note);
}
