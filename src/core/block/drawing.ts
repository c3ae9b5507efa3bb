import { forecast } from '../forecast/forecast';
import { mainDecisionOf, zoneDestination } from '../questions/zones';
import type { Situation } from '../sheet/situation';
import { mirroredMap } from '../species/sideMapPath';
import type { Destination, SideMap } from '../species/types';
import type { Hand } from './hand';
import { ribsOf, type DrawnRib } from './ribs';

/** One zone of the side in hand, as it is drawn. */
export type DrawnZone = {
  readonly zone: string;
  /** Where most of it goes; undefined while nobody has said. */
  readonly destination?: Destination;
  readonly quarter?: 'fore' | 'hind';
};

/** The side in hand as a picture: a right side hangs as a left one mirrored. */
export type Drawing = {
  readonly map: SideMap;
  readonly zones: readonly DrawnZone[];
  readonly ribs: readonly DrawnRib[];
};

export function drawingOf({ id, situation, sheet, coldSides }: Hand): Drawing {
  const { species } = situation;
  const map = id === 'right' ? mirroredMap(species.sideMap) : species.sideMap;
  const answered = { species, sheet, expected: forecast(situation, sheet, coldSides) };
  return {
    map,
    zones: Object.keys(map.zones).map((zone) => {
      const destination = zoneDestination(answered, zone);
      const quarter = quarterOf(situation, zone);
      return { zone, ...(destination ? { destination } : {}), ...(quarter ? { quarter } : {}) };
    }),
    ribs: ribsOf(situation, map),
  };
}

/** The quarter that a zone is of, by the pieces that are decided there. */
function quarterOf({ species }: Situation, zone: string): DrawnZone['quarter'] {
  const { quarters, atoms } = species.atlas;
  if (!quarters) return undefined;
  const claimed = (mainDecisionOf(species, zone)?.options ?? []).flatMap(({ products }) =>
    products.flatMap(({ claims }) => claims.map(({ atom }) => atom)),
  );
  const primals = atoms.filter(({ id }) => claimed.includes(id)).map(({ primal }) => primal);
  const isFore = primals.filter((primal) => quarters.fore.includes(primal)).length;
  return isFore * 2 > primals.length ? 'fore' : 'hind';
}
