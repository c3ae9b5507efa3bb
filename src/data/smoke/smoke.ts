import { group } from 'd3-array';
import type { Cure, CureEvent, CureFile } from '@/core/curing/inCure';
import type { CureMix, CureMixEvent, CureMixFile } from '@/core/curing/cureMix';
import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import type { SmokeEvent, SmokeFile, SmokeLoad } from '@/core/smokehouse/load';
import type { ProbeReading } from '@/core/smokehouse/plan';
import type { Day } from '@/core/time/shopTime';
import type { Database } from '../database';

/** What something of the smokehouse is done to. */
export type SmokehouseSubject = 'mix' | 'cure' | 'load';
type AnyEvent = CureMixEvent | CureEvent | SmokeEvent;

type EventRow = Pick<AnyEvent, 'id' | 'at' | 'actorId'> & {
  readonly subjectId: string;
  readonly deed: string;
};

async function eventsOf<Event>(
  db: Database,
  of: SmokehouseSubject,
  ids: readonly string[],
): Promise<Map<string, Event[]>> {
  if (ids.length === 0) return new Map();
  const rows: EventRow[] = await db('smokehouseEvents')
    .whereIn('subjectId', [...ids])
    .where({ of })
    .orderBy('number')
    .select('subjectId', 'id', 'deed', 'at', 'actorId');
  const events = rows.map(({ subjectId, deed, ...said }) => ({
    subjectId,
    event: { ...JSON.parse(deed), ...said } as Event,
  }));
  return new Map(
    [...group(events, ({ subjectId }) => subjectId)].map(([id, own]) => [id, own.map(({ event }) => event)]),
  );
}

type CureRow = Omit<Cure, 'recipe' | 'skinOn' | 'mixLot'> & {
  readonly recipe: string;
  readonly skinOn: number;
};

/** Pieces of these shares that are or were in their cure, by share. */
export async function curesOfShares(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, readonly CureFile[]>> {
  const rows: (CureRow & { readonly mixLot: string })[] = await db('cures')
    .join('cureMixes', 'cureMixes.id', 'cures.mixId')
    .whereIn('cures.shareId', [...shareIds])
    .orderBy('cures.rowid')
    .select('cures.*', 'cureMixes.lot as mixLot');
  if (rows.length === 0) return new Map();
  const ids = rows.map(({ id }) => id);
  const events = await eventsOf<CureEvent>(db, 'cure', ids);
  const mixes = await eventsOf<CureMixEvent>(
    db,
    'mix',
    rows.map(({ mixId }) => mixId),
  );
  const files = rows.map((row): CureFile => {
    const cure: Cure = { ...row, recipe: JSON.parse(row.recipe), skinOn: row.skinOn === 1 };
    const hold = (mixes.get(cure.mixId) ?? []).findLast(({ kind }) => kind === 'held' || kind === 'released');
    return {
      cure,
      events: events.get(cure.id) ?? [],
      mixHeld: hold?.kind === 'held' ? hold.reason : '',
    };
  });
  return group(files, ({ cure }) => cure.shareId);
}

/** Loads in which pieces of these shares hung, by share. */
export async function smokesOfShares(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, readonly SmokeFile[]>> {
  const rows: { shareId: ShareId; smokeId: string }[] = await db('smokehouseEvents')
    .join('weighings', 'weighings.id', 'smokehouseEvents.weighingId')
    .where({ 'smokehouseEvents.of': 'load', 'smokehouseEvents.kind': 'in' })
    .whereIn('weighings.shareId', [...shareIds])
    .distinct('weighings.shareId as shareId', 'smokehouseEvents.subjectId as smokeId');
  if (rows.length === 0) return new Map();
  const files = new Map(
    (
      await smokeFiles(
        db,
        rows.map(({ smokeId }) => smokeId),
      )
    ).map((file) => [file.load.id, file]),
  );
  return new Map(
    [...group(rows, ({ shareId }) => shareId)].map(([shareId, own]) => [
      shareId,
      own.map(({ smokeId }) => files.get(smokeId)!).sort((a, b) => (a.load.at < b.load.at ? -1 : 1)),
    ]),
  );
}

/** Loads with everything that was done to them, in the order in which they were begun. */
export async function smokeFiles(db: Database, ids: readonly string[]): Promise<SmokeFile[]> {
  const rows: (Omit<SmokeLoad, 'plan'> & { readonly plan: string })[] = await db('smokeLoads')
    .whereIn('id', [...new Set(ids)])
    .orderBy('rowid')
    .select('id', 'lot', 'plan', 'at', 'actorId');
  const events = await eventsOf<SmokeEvent>(
    db,
    'load',
    rows.map(({ id }) => id),
  );
  return rows.map((row) => ({
    load: { ...row, plan: JSON.parse(row.plan) },
    events: events.get(row.id) ?? [],
  }));
}

/** Loads that are not out yet, those that are held, and the last few that are out: newest last. */
export async function loadsAtHand(db: Database, last: number): Promise<SmokeFile[]> {
  const newest: { id: string }[] = await db('smokeLoads').orderBy('rowid', 'desc').limit(last).select('id');
  const open: { id: string }[] = await db('smokeLoads')
    .whereNotExists(
      db('smokehouseEvents')
        .whereRaw('smokehouseEvents.subjectId = smokeLoads.id')
        .where({ of: 'load', kind: 'ended' }),
    )
    .select('id');
  return smokeFiles(
    db,
    [...newest, ...open].map(({ id }) => id),
  );
}

/** Loads that are lit and not out: what the probe is asked about. */
export async function litLoads(db: Database): Promise<SmokeFile[]> {
  const rows: { subjectId: string }[] = await db('smokehouseEvents as lit')
    .where({ 'lit.of': 'load', 'lit.kind': 'lit' })
    .whereNotExists(
      db('smokehouseEvents as ended')
        .whereRaw('ended.subjectId = lit.subjectId')
        .where({ 'ended.of': 'load', 'ended.kind': 'ended' }),
    )
    .select('lit.subjectId');
  return smokeFiles(
    db,
    rows.map(({ subjectId }) => subjectId),
  );
}

/** What the probe said of a load, minute by minute. */
export async function readingsOfLoad(db: Database, smokeId: string): Promise<ProbeReading[]> {
  const rows: { minute: number; tenthsF: number }[] = await db('smokeReadings')
    .where({ smokeId })
    .orderBy('minute')
    .select('minute', 'tenthsF');
  return rows.map(({ minute, tenthsF }) => ({ minute, degrees: tenthsF / 10 }));
}

/** A statement takes so many values at the most. */
const ROWS_AT_ONCE = 500;

/** Writes what the probe said; a minute that is known stays as it was said first. */
export async function writeReadings(
  db: Database,
  smokeId: string,
  readings: readonly ProbeReading[],
  origin: 'probe' | 'hand' = 'probe',
): Promise<void> {
  const rows = readings.map(({ minute, degrees }) => ({
    ...{ smokeId, minute, origin },
    tenthsF: Math.round(degrees * 10),
  }));
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    await db('smokeReadings')
      .insert(rows.slice(from, from + ROWS_AT_ONCE))
      .onConflict(['smokeId', 'minute'])
      .ignore();
  }
}

type MixRow = Omit<CureMix, 'recipe' | 'skinOn'> & { readonly recipe: string; readonly skinOn: number };

/** Brines and rubs: those with these numbers, in the order in which they were begun. */
export async function mixFiles(db: Database, ids: readonly string[]): Promise<CureMixFile[]> {
  const rows: MixRow[] = await db('cureMixes')
    .whereIn('id', [...ids])
    .orderBy('rowid')
    .select('id', 'recipe', 'makes', 'weighingId', 'skinOn', 'lot', 'at', 'actorId');
  const events = await eventsOf<CureMixEvent>(
    db,
    'mix',
    rows.map(({ id }) => id),
  );
  return rows.map((row) => ({
    mix: { ...row, recipe: JSON.parse(row.recipe), skinOn: row.skinOn === 1 },
    events: events.get(row.id) ?? [],
  }));
}

/** The last brines and rubs that were begun. */
export async function lastMixes(db: Database, last: number): Promise<CureMixFile[]> {
  const rows: { id: string }[] = await db('cureMixes').orderBy('rowid', 'desc').limit(last).select('id');
  return mixFiles(
    db,
    rows.map(({ id }) => id),
  );
}

/** Green weights that lie in a brine. */
export async function curesInMix(
  db: Database,
  mixId: string,
): Promise<readonly Pick<Cure, 'id' | 'green' | 'weighingId'>[]> {
  return db('cures').where({ mixId }).select('id', 'green', 'weighingId');
}

export async function shareOfCure(db: Database, cureId: string): Promise<ShareId | undefined> {
  return (await db('cures').where({ id: cureId }).first('shareId'))?.shareId;
}

/** Shares that pieces of a load are of. */
export async function sharesOfLoad(db: Database, smokeId: string): Promise<ShareId[]> {
  const rows: { shareId: ShareId }[] = await db('smokehouseEvents')
    .join('weighings', 'weighings.id', 'smokehouseEvents.weighingId')
    .where({ 'smokehouseEvents.subjectId': smokeId, 'smokehouseEvents.kind': 'in' })
    .distinct('weighings.shareId as shareId');
  return rows.map(({ shareId }) => shareId);
}

export async function writeMix(db: Database, mix: CureMix & { readonly clientId: string }): Promise<void> {
  await db('cureMixes').insert({ ...mix, recipe: JSON.stringify(mix.recipe) });
}

export async function writeCure(db: Database, cure: Cure & { readonly clientId: string }): Promise<void> {
  const { mixLot: _mixLot, ...row } = cure;
  await db('cures').insert({ ...row, recipe: JSON.stringify(row.recipe) });
}

export async function writeLoad(
  db: Database,
  load: SmokeLoad & { readonly clientId: string },
): Promise<void> {
  await db('smokeLoads').insert({ ...load, plan: JSON.stringify(load.plan) });
}

/** @param weighingId - the piece that it is about; null where it is about none */
export async function writeSmokehouseEvent(
  db: Database,
  written: {
    readonly of: SmokehouseSubject;
    readonly subjectId: string;
    readonly clientId: string;
    readonly weighingId: WeighingId | null;
    readonly event: AnyEvent;
  },
): Promise<void> {
  const { event, ...row } = written;
  const { id, at, actorId, ...deed } = event;
  const on = 'on' in deed ? deed.on : 'scaleId' in deed ? deed : undefined;
  await db('smokehouseEvents').insert({
    ...row,
    ...{ id, at, actorId, kind: deed.kind, scaleId: on?.scaleId ?? '', loadId: on?.loadId ?? '' },
    deed: JSON.stringify(deed),
  });
}

/** Whether what lies on a scale was taken in the smokehouse already. */
export async function isSmokehouseLoad(
  db: Database,
  { scaleId, loadId }: { readonly scaleId: string; readonly loadId: string },
): Promise<boolean> {
  return (await db('smokehouseEvents').where({ scaleId, loadId }).first('number')) !== undefined;
}

const LOT_TABLES = { mix: 'cureMixes', cure: 'cures', load: 'smokeLoads' } as const;

/** How many of a kind were begun on a day: the next lot is numbered by it. */
export async function begunOn(
  db: Database,
  of: SmokehouseSubject,
  { letter, day }: { readonly letter: string; readonly day: Day },
): Promise<number> {
  const rows = await db(LOT_TABLES[of])
    .where('lot', '>=', `${letter}${day}-`)
    .where('lot', '<', `${letter}${day}.`)
    .count({ all: '*' });
  return Number(rows[0]!.all);
}

/** Shares that a lot reached: of a brine or of what is in it, of a piece, of a load; without regard to case. */
export async function sharesOfSmokehouseLot(db: Database, lot: string): Promise<ShareId[]> {
  const cured: { shareId: ShareId }[] = await db('cures')
    .join('cureMixes', 'cureMixes.id', 'cures.mixId')
    .leftJoin('smokehouseEvents', 'smokehouseEvents.subjectId', 'cureMixes.id')
    .whereRaw('lower(??) = lower(?)', ['cures.lot', lot])
    .orWhereRaw('lower(??) = lower(?)', ['cureMixes.lot', lot])
    .orWhereRaw("lower(json_extract(??, '$.lot')) = lower(?)", ['smokehouseEvents.deed', lot])
    .distinct('cures.shareId as shareId');
  const loads: { id: string }[] = await db('smokeLoads')
    .whereRaw('lower(lot) = lower(?)', [lot])
    .select('id');
  const smoked: ShareId[] = [];
  for (const { id } of loads) smoked.push(...(await sharesOfLoad(db, id)));
  return [...new Set([...cured.map(({ shareId }) => shareId), ...smoked])];
}

/**
 * Takes out what the smokehouse has of these shares alone: their cures, the brines that nothing else lies in, the loads in
 * which nothing else hangs, with everything that was done to them. For a sample that goes out again.
 */
export async function removeSmokehouseOf(trx: Database, shareIds: readonly ShareId[]): Promise<void> {
  const own = [...shareIds];
  const cures: { id: string; mixId: string }[] = await trx('cures')
    .whereIn('shareId', own)
    .select('id', 'mixId');
  const mixIds: string[] = await trx('cureMixes')
    .whereIn(
      'id',
      cures.map(({ mixId }) => mixId),
    )
    .whereNotIn('id', trx('cures').whereNotIn('shareId', own).select('mixId'))
    .pluck('id');
  const loadsWith = (query: Database) =>
    query('smokehouseEvents')
      .join('weighings', 'weighings.id', 'smokehouseEvents.weighingId')
      .where({ 'smokehouseEvents.of': 'load' });
  const loadIds: string[] = await loadsWith(trx)
    .whereIn('weighings.shareId', own)
    .whereNotIn(
      'smokehouseEvents.subjectId',
      loadsWith(trx).whereNotIn('weighings.shareId', own).select('smokehouseEvents.subjectId'),
    )
    .distinct('smokehouseEvents.subjectId')
    .pluck('smokehouseEvents.subjectId');
  const subjects = [...cures.map(({ id }) => id), ...mixIds, ...loadIds];
  await trx('smokehouseEvents').whereIn('subjectId', subjects).delete();
  await trx('smokeReadings').whereIn('smokeId', loadIds).delete();
  await trx('cures').whereIn('shareId', own).delete();
  await trx('cureMixes').whereIn('id', mixIds).delete();
  await trx('smokeLoads').whereIn('id', loadIds).delete();
}
