import type { ShareId } from '@/core/order/animal';
import type { Day, Instant } from '@/core/time/shopTime';
import type { Database } from '../database';

type Said = {
  readonly id: string;
  readonly clientId: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** Something was cleaned: what, where, how long. */
export type Cleaning = Said & {
  readonly place: string;
  readonly what: string;
  readonly minutes: number | null;
};

/** An ingredient that came in, by its lot; tenths of a gram. */
export type IngredientLot = Said & {
  readonly ingredient: string;
  readonly lot: string;
  readonly supplier: string;
  readonly tenths: number;
  readonly bestBy: Day | null;
};

export type DaySigning = Said & { readonly day: Day; readonly words: string };

/** A drill of a recall: what was looked for, and how many it reached when it began. */
export type RecallDrill = Said & {
  readonly words: string;
  readonly households: number;
  readonly packs: number;
};

export type RecallDrillEvent = Said & {
  readonly drillId: string;
  readonly kind: 'reached' | 'ended';
  readonly shareId: ShareId | null;
};

export async function writeCleaning(db: Database, cleaning: Cleaning): Promise<void> {
  await db('cleanings').insert(cleaning);
}

/** When a place was last cleaned as thoroughly as one of these; undefined where it never was. */
export async function lastCleaned(
  db: Database,
  place: string,
  what: readonly string[],
): Promise<Cleaning | undefined> {
  return db('cleanings')
    .where({ place })
    .whereIn('what', [...what])
    .orderBy('at', 'desc')
    .first();
}

export async function writeIngredientLot(db: Database, lot: IngredientLot): Promise<void> {
  await db('ingredientLots').insert(lot);
}

/** So many lots are looked back at. */
const LAST_LOTS = 200;

/** The lots that came in last, the newest first. */
export async function ingredientLots(db: Database): Promise<IngredientLot[]> {
  return db('ingredientLots').orderBy('at', 'desc').limit(LAST_LOTS).select();
}

export async function writeDaySigning(db: Database, signing: DaySigning): Promise<void> {
  await db('daySignings').insert(signing);
}

export async function signingsOf(db: Database, day: Day): Promise<DaySigning[]> {
  return db('daySignings').where({ day }).orderBy('at').select();
}

export async function writeDrill(db: Database, drill: RecallDrill): Promise<void> {
  await db('recallDrills').insert(drill);
}

export async function writeDrillEvent(db: Database, event: RecallDrillEvent): Promise<void> {
  await db('recallDrillEvents').insert(event);
}

/** A drill with what was done in it; undefined where there is none. */
export async function drillById(
  db: Database,
  id: string,
): Promise<{ readonly drill: RecallDrill; readonly events: readonly RecallDrillEvent[] } | undefined> {
  const drill: RecallDrill | undefined = await db('recallDrills').where({ id }).first();
  if (!drill) return undefined;
  return { drill, events: await db('recallDrillEvents').where({ drillId: id }).orderBy('at').select() };
}

/** The drill of these words that is going on; undefined where none is. */
export async function drillUnderWay(db: Database, words: string): Promise<RecallDrill | undefined> {
  return db('recallDrills')
    .whereRaw('lower(words) = lower(?)', [words])
    .whereNotExists(
      db('recallDrillEvents')
        .whereRaw('recallDrillEvents.drillId = recallDrills.id')
        .where({ kind: 'ended' }),
    )
    .orderBy('at', 'desc')
    .first();
}
