import Fuse from 'fuse.js';
import type { Species } from '../species/types';

/** A cut that a word may mean, and where on the sheet it is chosen. */
export type CutHit = {
  /** The cut's own name. */
  readonly cut: string;
  readonly decision: string;
  readonly option: string;
  /** The word that was found, and where it is said. */
  readonly said: string;
  readonly where?: string;
  readonly dish: boolean;
};

export type CutSearch = {
  /** Best first; each cut once. */
  readonly hits: readonly CutHit[];
  /** Asked when one word means several cuts: "rump" here or there. */
  readonly question?: string;
};

/** Fuse counts a match from 0, the very word, to 1; above this two words are not the same with a slip. */
const SLIP = 0.34;
const MOST_HITS = 8;

const indexes = new WeakMap<Species, readonly CutHit[]>();

/**
 * Finds cuts of one species by any word: its own name, another country's, a household's, a dish; slips of spelling
 * find it too. A word that means several cuts asks which.
 */
export function searchCuts(species: Species, text: string): CutSearch {
  const wanted = plain(text);
  if (wanted === '') return { hits: [] };
  const entries = entriesOf(species);
  const exact = onceEach(entries.filter((entry) => plain(entry.said) === wanted));
  if (exact.length > 0) return { hits: exact, ...asking(text, exact) };
  const fuse = new Fuse(entries, {
    keys: ['said'],
    threshold: SLIP,
    ignoreLocation: true,
    includeScore: true,
  });
  const found = fuse
    .search(text.trim())
    .sort((a, b) => a.score! - b.score! || a.refIndex - b.refIndex)
    .map(({ item }) => item);
  return { hits: onceEach(found).slice(0, MOST_HITS) };
}

function plain(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[-\s’']+/g, ' ');
}

function asking(text: string, hits: readonly CutHit[]): Pick<CutSearch, 'question'> {
  if (hits.length < 2) return {};
  const ways = hits.map((hit) => (hit.where ? `${hit.cut} (${hit.where})` : hit.cut));
  return { question: `"${text.trim()}" can be ${ways.slice(0, -1).join(', ')} or ${ways.at(-1)}. Which?` };
}

function onceEach(hits: readonly CutHit[]): CutHit[] {
  const seen = new Set<string>();
  return hits.filter((hit) => !seen.has(hit.cut) && seen.add(hit.cut));
}

/** Every word of a species with the cut it means: own names first, then schools', then the list of names. */
function entriesOf(species: Species): readonly CutHit[] {
  const known = indexes.get(species);
  if (known) return known;
  const own = species.decisions.flatMap((decision) =>
    decision.options.flatMap((option) =>
      option.products.flatMap((product) =>
        [product.cut, ...(product.cure ? [product.cure.cut] : [])].map((cut) => ({
          cut,
          decision: decision.id,
          option: option.id,
          said: cut,
          dish: false,
        })),
      ),
    ),
  );
  const as = (cut: string, said: string, more: Partial<CutHit>) =>
    own
      .filter((entry) => entry.cut === cut)
      .slice(0, 1)
      .map((entry) => ({ ...entry, said, ...more }));
  const entries = [
    ...own,
    ...species.schools.flatMap((school) =>
      Object.entries(school.names).flatMap(([cut, said]) => as(cut, said, { where: school.name })),
    ),
    ...species.names.flatMap(({ say, cut, where, dish }) =>
      say.flatMap((said) => as(cut, said, { ...(where ? { where } : {}), dish: dish === true })),
    ),
  ];
  indexes.set(species, entries);
  return entries;
}
