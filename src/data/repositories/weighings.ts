import type { Weight } from '@/core/quantity/weight';
import type { Destination } from '@/core/species/types';
import type { Database } from '../database';

/** What was taken from the bench scale for a share. It stands until it is voided by an entry of its own. */
export type Weighing = {
  readonly id: string;
  readonly clientId: string;
  /** Counts up over the whole shop; printed in the bars of a package. */
  readonly serial: number;
  readonly shareId: string;
  readonly kind: 'package' | 'green' | 'tub' | 'barrel';
  /** Of a package, the account its weight came from; of a barrel, which one. Empty otherwise. */
  readonly source: string;
  /** The line of the sheet; empty for tub and barrels. */
  readonly lineKey: string;
  /** The words on the label, kept as they were printed. */
  readonly cut: string;
  readonly destination: Destination;
  readonly pieces: number | null;
  readonly gross: Weight;
  readonly tare: Weight;
  readonly net: Weight;
  readonly scaleId: string;
  /** Names what lay on the platform. */
  readonly loadId: string;
  readonly at: string;
  readonly actorId: string;
  readonly transactionId: string;
};

export type WeighingVoid = {
  readonly weighingId: string;
  readonly clientId: string;
  readonly reason: string;
  readonly at: string;
  readonly actorId: string;
  readonly transactionId: string;
};

export type VoidedWeighing = Weighing & { readonly reason: string };

function standing(db: Database) {
  return db('weighings').whereNotExists(
    db('weighingVoids').select(db.raw('1')).whereRaw('weighingVoids.weighingId = weighings.id'),
  );
}

/** Every weighing that is not voided, in the order they were taken. */
export async function standingWeighings(db: Database): Promise<Weighing[]> {
  return standing(db).orderBy('serial').select();
}

/** The weighings of a share that are not voided, in the order they were taken. */
export async function weighingsOfShare(db: Database, shareId: string): Promise<Weighing[]> {
  return standing(db).where({ shareId }).orderBy('serial').select();
}

/** The standing weighing that took a load of a scale. */
export async function weighingOfLoad(
  db: Database,
  scaleId: string,
  loadId: string,
): Promise<Weighing | undefined> {
  return standing(db).where({ scaleId, loadId }).first();
}

export async function weighingById(db: Database, id: string): Promise<Weighing | undefined> {
  return db('weighings').where({ id }).first();
}

export async function weighingByClientId(db: Database, clientId: string): Promise<Weighing | undefined> {
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

export async function isVoided(db: Database, weighingId: string): Promise<boolean> {
  return (await db('weighingVoids').where({ weighingId }).first()) !== undefined;
}

export async function writeVoid(db: Database, entry: WeighingVoid): Promise<void> {
  await db('weighingVoids').insert(entry);
}

/** What was taken back from a share, with the reasons. */
export async function voidsOfShare(db: Database, shareId: string): Promise<VoidedWeighing[]> {
  return db('weighings')
    .join('weighingVoids', 'weighingVoids.weighingId', 'weighings.id')
    .where({ shareId })
    .orderBy('serial')
    .select('weighings.*', 'weighingVoids.reason');
}

/** Why a line of a sheet is short, over or missing. */
export type LineNote = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: string;
  readonly lineKey: string;
  readonly note: string;
  readonly at: string;
  readonly actorId: string;
};

/** Every line note, in the order they were written. */
export async function allLineNotes(db: Database): Promise<LineNote[]> {
  return db('lineNotes').select().orderBy('rowid');
}

export async function writeLineNote(db: Database, note: LineNote): Promise<void> {
  await db('lineNotes').insert(note);
}
