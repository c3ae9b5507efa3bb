import { speciesIn, type Catalogue } from '../catalogue/catalogue';
import type { Species } from '../species/types';
import { readCatalogue } from '@/data/catalogue';

/** The catalogue that ships with the app, for the tests. */
export const catalogue: Catalogue = readCatalogue();

export function allSpecies(): readonly Species[] {
  return catalogue.species;
}

export function speciesById(id: string): Species {
  return speciesIn(catalogue, id);
}
