import type { ShareId } from '@/core/order/animal';
import type { LineNote, VoidedWeighing, Weighing, WeighingId, WeighingVoid } from '@/core/order/work';
import type { ScaleReading } from '@/core/scale/reading';
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

/** What a scale says of what lies on it, as far as it tells loads apart. */
export type LoadOnScale = Pick<ScaleReading, 'scaleId' | 'loadId' | 'gross' | 'found'>;

/**
 * The standing weighing that took what lies on a scale. Of what was found there when the connection began, nobody knows
 * which load it is: it may be the last that was taken, if it weighs the same.
 */
export async function weighingOfLoad(
  db: Database,
  { scaleId, loadId, gross, found }: LoadOnScale,
): Promise<Weighing | undefined> {
  const taken: Weighing | undefined = await standing(db).where({ scaleId, loadId }).first();
  if (taken || !found) return taken;
  const last: Weighing | undefined = await standing(db).where({ scaleId }).orderBy('serial', 'desc').first();
  return last?.gross === gross ? last : undefined;
}

export async function weighingById(db: Database, id: WeighingId): Promise<Weighing | undefined> {
  return db('weighings').where({ id }).first();
}

/** The weighing that bars name by its number in the shop. */
export async function weighingBySerial(db: Database, serial: number): Promise<Weighing | undefined> {
  return db('weighings').where({ serial }).first();
}

/** The weighing that was asked for with an id of the client. */
export async function weighingAskedAs(db: Database, clientId: string): Promise<Weighing | undefined> {
  return db('weighings').where({ clientId }).first();
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
