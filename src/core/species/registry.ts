import beefAtlas from '#species/beef/atlas.json';
import beefCures from '#species/beef/cures.json';
import beefDecisions from '#species/beef/decisions.json';
import beefGrind from '#species/beef/grind.json';
import beefNames from '#species/beef/names.json';
import beefSchools from '#species/beef/schools.json';
import beefSideMap from '#species/beef/side-map.json';
import beefFacts from '#species/beef/species.json';
import hogAtlas from '#species/hog/atlas.json';
import hogCures from '#species/hog/cures.json';
import hogDecisions from '#species/hog/decisions.json';
import hogGrind from '#species/hog/grind.json';
import hogNames from '#species/hog/names.json';
import hogSchools from '#species/hog/schools.json';
import hogSideMap from '#species/hog/side-map.json';
import hogFacts from '#species/hog/species.json';
import lambAtlas from '#species/lamb/atlas.json';
import lambCures from '#species/lamb/cures.json';
import lambDecisions from '#species/lamb/decisions.json';
import lambGrind from '#species/lamb/grind.json';
import lambNames from '#species/lamb/names.json';
import lambSchools from '#species/lamb/schools.json';
import lambSideMap from '#species/lamb/side-map.json';
import lambFacts from '#species/lamb/species.json';
import variants from '#species/variants.json';
import type { Species } from './types';
import { variantOf, type Variant } from './variant';

/** The shapes of the data files are checked by `speciesSchema` in the tests, not by the compiler. */
function assemble(...parts: object[]): Species {
  return Object.assign({}, ...parts) as Species;
}

/** New species come last: the shop's item numbers follow this order. */
const FULL: readonly Species[] = [
  assemble(hogFacts, { atlas: hogAtlas }, hogSchools, hogDecisions, hogGrind, hogCures, hogNames, {
    sideMap: hogSideMap,
  }),
  assemble(beefFacts, { atlas: beefAtlas }, beefSchools, beefDecisions, beefGrind, beefCures, beefNames, {
    sideMap: beefSideMap,
  }),
  assemble(lambFacts, { atlas: lambAtlas }, lambSchools, lambDecisions, lambGrind, lambCures, lambNames, {
    sideMap: lambSideMap,
  }),
];

/** A variant is made from a species by its data alone; another one is another entry of the file. */
const SPECIES: readonly Species[] = [
  ...FULL,
  ...(variants as unknown as Variant[]).map((variant) =>
    variantOf(
      FULL.find((species) => species.id === variant.of)!,
      variant,
    ),
  ),
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
