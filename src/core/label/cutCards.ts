import { itemsOf } from '../species/items';
import type { Species } from '../species/types';
import { tradeItem } from './gs1';

/** A card of a cut: scanned at the wrap table, it chooses the cut. */
export type CutCard = { readonly words: string; readonly tradeItem: string };

export type CutCards = { readonly species: string; readonly groups: readonly CutGroup[] };
type CutGroup = { readonly title: string; readonly cards: readonly CutCard[] };

/**
 * Everything that can be packed of a species as cards, row by row of its sheet; what is ground and what is kept comes last.
 *
 * @param prefix - the shop's prefix of trade items
 */
export function cutCards(species: Species, prefix: string): CutCards {
  const groups = new Map<string, CutCard[]>();
  for (const item of itemsOf(species)) {
    const number = Object.hasOwn(species.items, item) ? species.items[item] : undefined;
    if (number === undefined) continue;
    const { title, words } = wordsOf(species, item);
    const cards = groups.get(title) ?? [];
    // What is told apart by its cure alone says it, whatever its name says.
    const isSaid = cards.some((card) => card.words === words);
    const own = isSaid ? `${words}, ${item.split('/')[2]}` : words;
    groups.set(title, [...cards, { words: own, tradeItem: tradeItem(prefix, number) }]);
  }
  return {
    species: species.name,
    groups: [...groups].map(([title, cards]) => ({ title, cards })),
  };
}

function wordsOf(species: Species, item: string): { readonly title: string; readonly words: string } {
  const [place, name, how] = item.split('/') as [string, string, string | undefined];
  if (place === 'grind') {
    const recipe = species.recipes.find(({ id }) => id === name);
    return { title: 'Ground and sausage', words: `${recipe?.name ?? name}, ${how}` };
  }
  if (place === 'kept') {
    return { title: 'Kept', words: species.poolKeeps.find(({ id }) => id === name)?.cut ?? name };
  }
  const row = species.decisions.find(({ id }) => id === place);
  return { title: row?.title ?? place, words: `${name}${cureWords(name, how)}` };
}

/** How it is cured, unless it is not, or its name says so. */
function cureWords(name: string, how = 'fresh'): string {
  if (how === 'fresh' || name.includes(how)) return '';
  return how === 'none' ? ', without cure' : `, ${how}`;
}
