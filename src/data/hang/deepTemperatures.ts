import type { SideId } from '@/core/order/animal';
import type { DeepTemperature } from '@/core/order/deepTemperature';
import type { Database } from '../database';

/** What was read inside these sides, in the order it was. */
export async function deepTemperaturesOf(
  db: Database,
  sideIds: readonly SideId[],
): Promise<DeepTemperature[]> {
  return db('deepTemperatures')
    .whereIn('sideId', [...sideIds])
    .orderBy('rowid');
}

export async function writeDeepTemperature(db: Database, temperature: DeepTemperature): Promise<void> {
  await db('deepTemperatures').insert(temperature);
}
