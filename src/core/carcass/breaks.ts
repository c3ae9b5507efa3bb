import type { Break, BreakPlace, Move, School, Species } from '../species/types';

/** Where a carcass is broken: the place of each break, by the break's id. */
export type BreakPlan = Readonly<Record<string, string>>;

/**
 * The place of every break of a species: as said, else as the school breaks, else the reference.
 *
 * @throws RangeError when the school, a break or a place is not of this species
 */
export function breakPlan(species: Species, school?: string, said: BreakPlan = {}): BreakPlan {
  const byHouse = school === undefined ? {} : schoolById(species, school).breaks;
  const unknown = Object.keys(said).find((id) => !species.breaks.some((each) => each.id === id));
  if (unknown) throw new RangeError(`"breaks" expected breaks of ${species.id}, got ${unknown}`);
  return Object.fromEntries(
    species.breaks.map((each) => {
      const place = said[each.id] ?? byHouse[each.id] ?? each.reference;
      placeOf(each, place);
      return [each.id, place];
    }),
  );
}

/**
 * A school of a species by id.
 *
 * @throws RangeError when the species has none of this id
 */
export function schoolById(species: Species, id: string): School {
  const found = species.schools.find((school) => school.id === id);
  if (!found) throw new RangeError(`"school" expected one of ${species.id}, got ${id}`);
  return found;
}

/** @throws RangeError when the break has no such place */
export function placeOf(broken: Break, id: string): BreakPlace {
  const found = broken.places.find((place) => place.id === id);
  if (!found) throw new RangeError(`"${broken.id}" expected a place of this break, got ${id}`);
  return found;
}

/** Moves that a break makes, and for which vertebrae: first and last index, or all cells when undefined. */
export type Shift = {
  readonly moves: readonly Move[];
  readonly between?: readonly [first: number, last: number];
};

/** What giving a break another place moves; nothing at its reference. */
export function shiftOf(broken: Break, placeId: string, vertebraIndex: ReadonlyMap<string, number>): Shift {
  const place = placeOf(broken, placeId);
  const reference = placeOf(broken, broken.reference);
  if (place.moves) return { moves: place.moves };
  const at = vertebraIndex.get(place.behind ?? '') ?? 0;
  const usual = vertebraIndex.get(reference.behind ?? '') ?? 0;
  if (at > usual) return { moves: broken.hindToFore ?? [], between: [usual + 1, at] };
  return { moves: broken.foreToHind ?? [], between: [at + 1, usual] };
}
