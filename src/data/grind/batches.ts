import { group, rollup } from 'd3-array';
import {
  meatOf,
  OF_ONE_OWNER,
  type BatchEvent,
  type BatchFile,
  type GrindBatch,
} from '@/core/grindroom/batch';
import type { Pool } from '@/core/grindroom/pool';
import { batchAccount } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { ZERO_WEIGHT, type Weight } from '@/core/quantity/weight';
import type { Day } from '@/core/time/shopTime';
import type { Database } from '../database';
import { balancesOf } from '../ledger';

type BatchRow = Omit<GrindBatch, 'recipe'> & { readonly recipe: string; readonly poolId: string | null };
type EventRow = Pick<BatchEvent, 'id' | 'batchId' | 'at' | 'actorId'> & { readonly deed: string };

/** Batches of these shares with everything that was done to them, by share. */
export async function batchesOfShares(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, readonly BatchFile[]>> {
  const own: BatchRow[] = await batchRows(db).whereIn('shareId', [...shareIds]);
  if (own.length === 0) return new Map();
  const mates = await matesOf(db, own);
  const events = await eventsOf(db, [...own, ...mates]);
  const inBatches = mates.length > 0 ? await leftIn(db, mates) : new Map<string, Weight>();
  const files = own.map(({ poolId, ...row }): BatchFile => {
    const batch: GrindBatch = { ...row, recipe: JSON.parse(row.recipe) };
    if (poolId === null) return { batch, events: events.get(row.id) ?? [] };
    const members = mates.filter((mate) => mate.poolId === poolId);
    return { batch, ...pooled({ poolId, members, events, inBatches }, row.id) };
  });
  return group(files, ({ batch }) => batch.shareId);
}

function batchRows(db: Database) {
  return db('grindBatches')
    .orderBy('rowid')
    .select('id', 'shareId', 'lineKey', 'recipe', 'lot', 'at', 'actorId', 'poolId');
}

/** Everybody whose meat is in the same pools, themselves among them; the one that leads a pool comes first. */
async function matesOf(db: Database, rows: readonly BatchRow[]): Promise<BatchRow[]> {
  const poolIds = [...new Set(rows.flatMap(({ poolId }) => poolId ?? []))];
  return poolIds.length === 0 ? [] : batchRows(db).whereIn('poolId', poolIds);
}

async function eventsOf(
  db: Database,
  rows: readonly BatchRow[],
): Promise<ReadonlyMap<string, readonly BatchEvent[]>> {
  const done: EventRow[] = await db('grindEvents')
    .whereIn('batchId', [...new Set(rows.map(({ id }) => id))])
    .orderBy('number')
    .select('id', 'batchId', 'deed', 'at', 'actorId');
  return rollup(
    done,
    (found) => found.map(eventOf),
    ({ batchId }) => batchId,
  );
}

/** What is in each owner's part, by its account. */
async function leftIn(db: Database, rows: readonly BatchRow[]): Promise<ReadonlyMap<string, Weight>> {
  const owners = rows.map(({ shareId, lineKey }) => batchAccount(shareId, lineKey).owner);
  const held = (await balancesOf(db, owners)).filter(({ kind }) => kind === 'batch');
  return new Map(held.map(({ owner, weight }) => [owner, weight]));
}

type PoolRows = {
  readonly poolId: string;
  readonly members: readonly BatchRow[];
  readonly events: ReadonlyMap<string, readonly BatchEvent[]>;
  readonly inBatches: ReadonlyMap<string, Weight>;
};

function addedTo(events: readonly BatchEvent[]): Weight | null {
  const mixed = events.find((event) => event.kind === 'mixed');
  return mixed?.kind === 'mixed' ? mixed.added : null;
}

/** An owner's part of a pool: its own meat, mix and end, and what was done to the pool through the one that leads it. */
function pooled(
  { poolId, members, events, inBatches }: PoolRows,
  batchId: string,
): Pick<BatchFile, 'events'> & { readonly pool: Pool } {
  const leads = members[0]!.id;
  const done = (id: string) => events.get(id) ?? [];
  const shared = done(leads).filter(({ kind }) => !OF_ONE_OWNER.includes(kind));
  return {
    events: batchId === leads ? done(leads) : [...shared, ...done(batchId)],
    pool: {
      id: poolId,
      members: members.map(({ id, shareId, lineKey }) => ({
        ...{ batchId: id, shareId, lineKey },
        meat: meatOf(done(id)),
        added: addedTo(done(id)),
        left: inBatches.get(batchAccount(shareId, lineKey).owner) ?? ZERO_WEIGHT,
      })),
    },
  };
}

function eventOf({ deed, ...said }: EventRow): BatchEvent {
  return { ...JSON.parse(deed), ...said } as BatchEvent;
}

/** The share that a batch is of; undefined where there is no such batch. */
export async function shareOfBatch(db: Database, batchId: string): Promise<ShareId | undefined> {
  return (await db('grindBatches').where({ id: batchId }).first('shareId'))?.shareId;
}

export async function writeBatch(
  db: Database,
  batch: GrindBatch & { readonly clientId: string; readonly poolId: string | null },
): Promise<void> {
  await db('grindBatches').insert({ ...batch, recipe: JSON.stringify(batch.recipe) });
}

/** @param transactionId - of the weight that it moved; null where it moved none */
export async function writeBatchEvent(
  db: Database,
  event: BatchEvent & { readonly clientId: string; readonly transactionId: string | null },
): Promise<void> {
  const { id, clientId, batchId, at, actorId, transactionId, ...deed } = event;
  const [scaleId, loadId] = 'scaleId' in deed ? [deed.scaleId, deed.loadId] : ['', ''];
  const row = { id, clientId, batchId, at, actorId, transactionId, kind: deed.kind, scaleId, loadId };
  await db('grindEvents').insert({ ...row, deed: JSON.stringify(deed) });
}

/** Whether what lies on a scale was taken into a batch already. */
export async function isBatchLoad(
  db: Database,
  { scaleId, loadId }: { readonly scaleId: string; readonly loadId: string },
): Promise<boolean> {
  return (await db('grindEvents').where({ scaleId, loadId }).first('number')) !== undefined;
}

/** Shares of which a batch has this lot, of its own or of an ingredient; lots are told apart without regard to case. */
export async function sharesOfLot(db: Database, lot: string): Promise<ShareId[]> {
  const rows: { shareId: ShareId }[] = await db('grindBatches')
    .leftJoin('grindEvents', 'grindEvents.batchId', 'grindBatches.id')
    .whereRaw('lower(??) = lower(?)', ['grindBatches.lot', lot])
    .orWhereRaw("lower(json_extract(??, '$.lot')) = lower(?)", ['grindEvents.deed', lot])
    .distinct('grindBatches.shareId as shareId');
  return rows.map(({ shareId }) => shareId);
}

/** Of so many weighings lots are remembered: some weeks of a grinder, however long its history. */
const REMEMBERED = 500;

/** The lot that each ingredient was last weighed from, in batches, brines and rubs, as far as that is not long ago. */
export async function lastLots(db: Database): Promise<Readonly<Record<string, string>>> {
  const lots: Record<string, string> = {};
  for (const table of ['grindEvents', 'smokehouseEvents']) {
    const rows: { ingredient: string; lot: string }[] = await db(table)
      .where({ kind: 'ingredient' })
      .whereRaw("json_extract(deed, '$.lot') <> ''")
      .orderBy('number', 'desc')
      .limit(REMEMBERED)
      .select(
        db.raw("json_extract(deed, '$.ingredient') AS ingredient"),
        db.raw("json_extract(deed, '$.lot') AS lot"),
      );
    for (const { ingredient, lot } of rows.reverse()) lots[ingredient] = lot;
  }
  return lots;
}

/** The batch that was begun last, and when something was last done to it; undefined before the first. */
export async function lastBegun(
  db: Database,
): Promise<(Pick<GrindBatch, 'id' | 'shareId' | 'lineKey'> & { readonly until: string }) | undefined> {
  const last = await db('grindBatches').orderBy('at', 'desc').first('id', 'shareId', 'lineKey', 'at');
  if (!last) return undefined;
  const event = await db('grindEvents').where({ batchId: last.id }).orderBy('number', 'desc').first('at');
  return { id: last.id, shareId: last.shareId, lineKey: last.lineKey, until: event?.at ?? last.at };
}

/** How many batches were begun on a day: the next lot is numbered by it. */
export async function batchesBegunOn(db: Database, day: Day): Promise<number> {
  // Between the hyphen and the sign after it, so that the index of lots is used.
  const rows = await db('grindBatches')
    .where('lot', '>=', `G${day}-`)
    .where('lot', '<', `G${day}.`)
    .count({ all: '*' });
  return Number(rows[0]!.all);
}
