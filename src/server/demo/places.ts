import type { Place } from '@/core/setUp/places';
import { instant } from '@/core/time/shopTime';
import type { Database } from '@/data/database';
import { writeStep } from '@/data/setUp';

/** Where the demo shop hangs, keeps, smokes and weighs. */
const PLACES: readonly Place[] = [
  { id: 'rail-north', kind: 'rail', name: 'North rail', size: 40 },
  { id: 'rail-south', kind: 'rail', name: 'South rail', size: 24 },
  { id: 'cooler', kind: 'cooler', name: 'Cooler', size: 30 },
  { id: 'freezer', kind: 'freezer', name: 'Walk-in freezer', size: 12 },
  { id: 'smokehouse', kind: 'smokehouse', name: 'Smokehouse', size: 120 },
  { id: 'grinder', kind: 'grinder', name: 'Grinder', size: 60 },
  { id: 'stuffer', kind: 'stuffer', name: 'Stuffer', size: 30 },
  { id: 'bench-scale', kind: 'scale', name: 'Bench scale', size: 30 },
  { id: 'label-printer', kind: 'printer', name: 'Label printer', size: 4 },
  { id: 'tray', kind: 'tare', name: 'White tray', size: 0.05 },
];

/** Names the places of the demo shop, once. */
export async function nameDemoPlaces(db: Database, now: Date): Promise<void> {
  for (const place of PLACES) {
    const by = { at: instant(now), actorId: 'system', actorName: 'the demo' };
    await writeStep(db, { change: { kind: 'place', place }, ...by });
  }
}
