import { cutNames } from '../species/cutNames';
import type { Species } from '../species/types';

/** What a word is called that another cut of the species has already; undefined when it is free. */
export function takenBy(word: string, own: string, species: Species): string | undefined {
  const same = (said: string) => said.trim().toLowerCase() === word.trim().toLowerCase();
  const byName = cutNames(species).find(({ cut }) => cut !== own && same(cut))?.cut;
  const byWord = Object.entries(species.words ?? {}).find(([cut, said]) => cut !== own && same(said))?.[0];
  return byName ?? byWord;
}
