import type { Knex } from 'knex';
import type { Happening } from '@/core/dayBook/dayBook';
import type { Weight } from '@/core/quantity/weight';
import type { Instant } from '@/core/time/shopTime';
import type { Database } from '../database';

/** A stretch of time: from its first moment to before its last. */
export type Between = { readonly from: Instant; readonly to: Instant };

/** Everything of a stretch of time that an inspector may ask about; a fixed number of queries, each by its own index. */
export async function happeningsBetween(db: Database, between: Between): Promise<Happening[]> {
  return [
    ...(await tickets(db, between)),
    ...(await temperatures(db, between)),
    ...(await railHolds(db, between)),
    ...(await received(db, between)),
    ...(await begun(db, between)),
    ...(await grindDeeds(db, between)),
    ...(await smokehouseDeeds(db, between)),
    ...(await cleaned(db, between)),
    ...(await takenBack(db, between)),
    ...(await corrected(db, between)),
    ...(await drills(db, between)),
  ];
}

type Query = Knex.QueryBuilder;

function within(query: Query, column: string, { from, to }: Between): Query {
  return query.where(column, '>=', from).where(column, '<', to).orderBy(column);
}

type OfSide = { readonly tag: string; readonly position: string };

function ofSides(db: Database, table: string, between: Between): Query {
  return within(
    db(table).join('sides', 'sides.id', `${table}.sideId`).join('animals', 'animals.id', 'sides.animalId'),
    `${table}.at`,
    between,
  ).select(`${table}.*`, 'animals.tag', 'sides.position');
}

const sideName = ({ tag, position }: OfSide) => `${tag} ${position} side`;

async function tickets(db: Database, between: Between): Promise<Happening[]> {
  type Row = OfSide & {
    sideId: string;
    kind: 'hot' | 'cold';
    gross: number;
    tare: number;
    remark: string;
    at: Instant;
    actorId: string;
  };
  const rows: Row[] = await ofSides(db, 'sideWeights', between);
  const before: { sideId: string; kind: string; first: string }[] = await db('sideWeights')
    .whereIn('sideId', [...new Set(rows.map(({ sideId }) => sideId))])
    .groupBy('sideId', 'kind')
    .select('sideId', 'kind')
    .min('at as first');
  return rows.map((row) => ({
    of: 'ticket',
    ...{ at: row.at, actorId: row.actorId, kind: row.kind, remark: row.remark, side: sideName(row) },
    net: (row.gross - row.tare) as Weight,
    corrects: before.some(
      ({ sideId, kind, first }) => sideId === row.sideId && kind === row.kind && first < row.at,
    ),
  }));
}

async function temperatures(db: Database, between: Between): Promise<Happening[]> {
  type Row = OfSide & { tenthsF: number; origin: string; at: Instant; actorId: string };
  const rows: Row[] = await ofSides(db, 'deepTemperatures', between);
  return rows.map((row) => ({
    of: 'deep',
    ...{ at: row.at, actorId: row.actorId, tenthsF: row.tenthsF, origin: row.origin, side: sideName(row) },
  }));
}

async function railHolds(db: Database, between: Between): Promise<Happening[]> {
  type Row = OfSide & { kind: 'held' | 'let go'; reason: string; at: Instant; actorId: string };
  const rows: Row[] = await ofSides(db, 'railEvents', between).whereIn('railEvents.kind', ['held', 'let go']);
  return rows.map((row) => ({
    of: 'rail',
    ...{ at: row.at, actorId: row.actorId, kind: row.kind, reason: row.reason, side: sideName(row) },
  }));
}

async function received(db: Database, between: Between): Promise<Happening[]> {
  const rows = await within(db('ingredientLots'), 'at', between).select(
    'at',
    'actorId',
    'ingredient',
    'lot',
    'supplier',
    'tenths',
    'bestBy',
  );
  return rows.map((row: object) => ({ of: 'ingredient', ...row }) as Happening);
}

const BEGUN = [
  ['batch', 'grindBatches', '$.name', 'recipe'],
  ['mix', 'cureMixes', '$.name', 'recipe'],
  ['cure', 'cures', '$.name', 'recipe'],
  ['load', 'smokeLoads', '$.name', 'plan'],
] as const;

async function begun(db: Database, between: Between): Promise<Happening[]> {
  const all: Happening[] = [];
  for (const [what, table, path, column] of BEGUN) {
    const rows: { at: Instant; actorId: string; lot: string; words: string }[] = await within(
      db(table),
      'at',
      between,
    ).select('at', 'actorId', 'lot', db.raw(`json_extract(${column}, ?) AS words`, [path]));
    all.push(...rows.map((row) => ({ of: 'begun' as const, what, ...row })));
  }
  return all;
}

type DeedRow = {
  readonly at: Instant;
  readonly actorId: string;
  readonly lot: string;
  readonly deed: string;
};

async function grindDeeds(db: Database, between: Between): Promise<Happening[]> {
  const rows: DeedRow[] = await within(
    db('grindEvents').join('grindBatches', 'grindBatches.id', 'grindEvents.batchId'),
    'grindEvents.at',
    between,
  ).select('grindEvents.at', 'grindEvents.actorId', 'grindBatches.lot', 'grindEvents.deed');
  return rows.map(({ deed, ...row }) => ({ of: 'batch', ...row, deed: JSON.parse(deed) }));
}

const LOTS_OF = { mix: 'cureMixes', cure: 'cures', load: 'smokeLoads' } as const;

async function smokehouseDeeds(db: Database, between: Between): Promise<Happening[]> {
  const all: Happening[] = [];
  for (const subject of ['mix', 'cure', 'load'] as const) {
    const table = LOTS_OF[subject];
    const rows: DeedRow[] = await within(
      db('smokehouseEvents')
        .join(table, `${table}.id`, 'smokehouseEvents.subjectId')
        .where({ 'smokehouseEvents.of': subject }),
      'smokehouseEvents.at',
      between,
    ).select('smokehouseEvents.at', 'smokehouseEvents.actorId', `${table}.lot`, 'smokehouseEvents.deed');
    all.push(
      ...rows.map(({ deed, ...row }) => ({ of: subject, ...row, deed: JSON.parse(deed) }) as Happening),
    );
  }
  return all;
}

async function cleaned(db: Database, between: Between): Promise<Happening[]> {
  const rows = await within(db('cleanings'), 'at', between).select(
    'at',
    'actorId',
    'place',
    'what',
    'minutes',
  );
  return rows.map((row: object) => ({ of: 'cleaned', ...row }) as Happening);
}

async function takenBack(db: Database, between: Between): Promise<Happening[]> {
  const rows: { at: Instant; actorId: string; cut: string; net: Weight; reason: string }[] = await within(
    db('weighingVoids').join('weighings', 'weighings.id', 'weighingVoids.weighingId'),
    'weighingVoids.at',
    between,
  ).select(
    'weighingVoids.at',
    'weighingVoids.actorId',
    'weighings.cut',
    'weighings.net',
    'weighingVoids.reason',
  );
  return rows.map((row) => ({ of: 'void', ...row }));
}

async function corrected(db: Database, between: Between): Promise<Happening[]> {
  const rows = await within(db('corrections'), 'at', between).select(
    'at',
    'actorId',
    'field',
    'was',
    'now',
    'reason',
  );
  return rows.map((row: object) => ({ of: 'correction', ...row }) as Happening);
}

const MINUTE_MS = 60_000;

async function drills(db: Database, between: Between): Promise<Happening[]> {
  type Row = { at: Instant; actorId: string; words: string; households: number; ended: Instant | null };
  const rows: Row[] = await within(
    db('recallDrills').leftJoin('recallDrillEvents as ends', function ended() {
      this.on('ends.drillId', 'recallDrills.id').andOnVal('ends.kind', 'ended');
    }),
    'recallDrills.at',
    between,
  ).select('recallDrills.at', 'recallDrills.actorId', 'words', 'households', 'ends.at as ended');
  return rows.map(({ ended, ...row }) => ({
    of: 'drill',
    ...row,
    minutes: ended === null ? null : Math.round((Date.parse(ended) - Date.parse(row.at)) / MINUTE_MS),
  }));
}
