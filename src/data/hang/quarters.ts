import type { AnimalId, SideId } from '@/core/order/animal';
import type { Origin } from '@/core/order/work';
import type { Weight } from '@/core/quantity/weight';
import type { Quarter } from '@/core/species/types';
import type { Instant } from '@/core/time/shopTime';
import type { Database } from '../database';

type Weighed = {
  readonly id: string;
  readonly clientId: string;
  readonly gross: Weight;
  readonly tare: Weight;
  readonly origin: Origin;
  readonly at: Instant;
  readonly actorId: string;
};

/** A quarter on the rail scale. */
export type QuarterWeight = Weighed & {
  readonly sideId: SideId;
  readonly quarter: Quarter;
  readonly kind: 'hot' | 'cold';
};

/** The quarters of these sides as they were weighed, in the order they were. */
export async function quartersOfSides(db: Database, sideIds: readonly SideId[]): Promise<QuarterWeight[]> {
  return db('quarterWeights')
    .whereIn('sideId', [...sideIds])
    .orderBy('rowid');
}

export async function writeQuarterWeight(db: Database, weight: QuarterWeight): Promise<void> {
  await db('quarterWeights').insert(weight);
}

/** An animal on the scale before its kill; the last one holds. */
export async function writeLiveWeight(
  db: Database,
  weight: Weighed & { readonly animalId: AnimalId },
): Promise<void> {
  await db('liveWeights').insert(weight);
}
