import { groundOf, type GroundSent } from '../questions/groundOf';
import type { Sheet } from '../sheet/types';
import type { Species } from '../species/types';
import { findSheets, type Found } from './findSheets';
import type { Goal } from './goals';

/** A search as it is handed to a thread: plain data. */
export type SearchJob = {
  readonly view: GroundSent;
  readonly species: Species;
  readonly sheet: Sheet;
  readonly goals: readonly Goal[];
  readonly pins: readonly string[];
};

export function searchJob(
  { view, species, sheet, goals, pins }: SearchJob,
  onTried: (tried: number) => void,
): Promise<Found> {
  return findSheets(groundOf(view, species), sheet, { goals, pins: new Set(pins), onTried });
}
