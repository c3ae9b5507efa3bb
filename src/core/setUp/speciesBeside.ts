import type { Weight } from '../quantity/weight';
import type { Species } from '../species/types';
import { houseForecast } from './speciesTrial';

/** What a cut weighs packed now and then, thousandths of a pound of the reference side; null where it is not cut. */
export type Beside = {
  readonly cut: string;
  readonly now: Weight | null;
  readonly then: Weight | null;
};

/**
 * What the house's sheet gives of a reference side before and after a change of its species, in the cutter's order, with
 * what goes to no box at the end.
 */
export function besideEachOther(now: Species | undefined, then: Species): Beside[] {
  const was = now ? packedBy(now) : new Map<string, Weight>();
  const will = packedBy(then);
  const cuts = [...new Set([...will.keys(), ...was.keys()])];
  return cuts.map((cut) => ({ cut, now: was.get(cut) ?? null, then: will.get(cut) ?? null }));
}

function packedBy(species: Species): Map<string, Weight> {
  const { lines, takeHome, coldWeight } = houseForecast(species);
  const packed = new Map<string, Weight>();
  for (const { cut, packaged } of lines) packed.set(cut, ((packed.get(cut) ?? 0) + packaged) as Weight);
  packed.set('Bone, fat, skin, shrink', (coldWeight - takeHome) as Weight);
  return packed;
}
