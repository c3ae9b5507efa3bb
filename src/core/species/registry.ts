import hogAtlas from '#species/hog/atlas.json';
import hogCures from '#species/hog/cures.json';
import hogDecisions from '#species/hog/decisions.json';
import hogGrind from '#species/hog/grind.json';
import hogSideMap from '#species/hog/side-map.json';
import hogSchools from '#species/hog/schools.json';
import hogFacts from '#species/hog/species.json';
import type { Species } from './types';

/** The shapes of the data files are checked by `speciesSchema` in the tests, not by the compiler. */
function assemble(...parts: object[]): Species {
  return Object.assign({}, ...parts) as Species;
}

const SPECIES: readonly Species[] = [
  assemble(hogFacts, { atlas: hogAtlas }, hogSchools, hogDecisions, hogGrind, hogCures, {
    sideMap: hogSideMap,
  }),
];

/** Every species the app ships with, in the order the shop lists them. */
export function allSpecies(): readonly Species[] {
  return SPECIES;
}

/**
 * The species with this id.
 *
 * @throws RangeError when there is none; ids from outside are checked against `allSpecies` first
 */
export function speciesById(id: string): Species {
  const found = SPECIES.find((species) => species.id === id);
  if (!found)
    throw new RangeError(`"species" expected one of ${SPECIES.map((s) => s.id).join(', ')}, got ${id}`);
  return found;
}
