import { forecast } from '../forecast/forecast';
import { zoneDestination } from '../questions/zones';
import type { Hand } from './hand';

/** Where each zone of the side map goes, in the order of the map's zones, apart by commas; empty where it is open. */
export function zonesOf({ situation, sheet, coldSides }: Hand): { readonly destinations: string } {
  const { species } = situation;
  const answered = { species, sheet, expected: forecast(situation, sheet, coldSides) };
  const zones = Object.keys(species.sideMap.zones);
  return { destinations: zones.map((zone) => zoneDestination(answered, zone) ?? '').join(',') };
}
