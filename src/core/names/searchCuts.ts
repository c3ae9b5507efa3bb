import { distance } from 'fastest-levenshtein';
import { oneOf } from '../quantity/listed';
import { cutNames, type NamedCut } from '../species/cutNames';
import type { Species } from '../species/types';

/** A cut that a word may mean, and where on the sheet it is chosen. */
export type CutHit = NamedCut & {
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
  /** Why there is no such cut: a part of the animal that is not on the carcass. */
  readonly absent?: string;
};

const MOST_HITS = 8;
/** Fewer letters than these are never taken for a slip of another word, nor for the beginning of one. */
const LEAST_LETTERS = { slip: 4, beginning: 2 };

type Entry = CutHit & { readonly plain: string; readonly tokens: readonly string[] };
const indexes = new WeakMap<Species, readonly Entry[]>();

/**
 * Finds cuts of one species by any word: its own name, another country's, a household's, a dish. First the very word;
 * then words that begin with what was typed, or hold all of it; then slips of the pen; then words that were typed among
 * others. A word that
 * means several cuts asks which, and a part that is not on the carcass says so: nothing is better than a wrong cut.
 */
export function searchCuts(species: Species, text: string): CutSearch {
  const wanted = plainOf(species, text);
  if (wanted === '') return { hits: [] };
  const entries = entriesOf(species);
  const exact = onceEach(entries.filter((entry) => entry.plain === wanted));
  if (exact.length > 0) return { hits: exact.slice(0, MOST_HITS), ...asking(text, exact) };
  const absent = species.absent.find(({ say }) => say.some((word) => plainOf(species, word) === wanted));
  if (absent) return { hits: [], absent: absent.sentence };
  for (const find of [beginning, holding, slips, heldBy]) {
    const hits = onceEach(find(entries, wanted));
    if (hits.length > 0) return { hits: hits.slice(0, MOST_HITS) };
  }
  return { hits: [] };
}

function beginning(entries: readonly Entry[], wanted: string): readonly Entry[] {
  if (wanted.length < LEAST_LETTERS.beginning) return [];
  return shortest(entries.filter((entry) => entry.plain.startsWith(wanted)));
}

/** Every word typed begins a word of the name. */
function holding(entries: readonly Entry[], wanted: string): readonly Entry[] {
  const words = wanted.split(' ');
  if (words.some((word) => word.length < LEAST_LETTERS.beginning)) return [];
  return shortest(
    entries.filter(({ tokens }) => words.every((word) => tokens.some((token) => token.startsWith(word)))),
  );
}

/** Every word of the name was typed, among others; the longest name first. */
function heldBy(entries: readonly Entry[], wanted: string): readonly Entry[] {
  const words = new Set(wanted.split(' '));
  return shortest(entries.filter(({ tokens }) => tokens.every((token) => words.has(token)))).reverse();
}

/** Names that differ by a slip in so many letters: one in four to six, two in more. */
function slips(entries: readonly Entry[], wanted: string): readonly Entry[] {
  const letters = wanted.replaceAll(' ', '');
  if (letters.length < LEAST_LETTERS.slip) return [];
  const most = letters.length < 7 ? 1 : 2;
  return entries
    .map((entry) => ({ entry, off: distance(letters, entry.plain.replaceAll(' ', '')) }))
    .filter(({ off }) => off <= most)
    .sort((a, b) => a.off - b.off)
    .map(({ entry }) => entry);
}

function shortest(entries: readonly Entry[]): Entry[] {
  return [...entries].sort((a, b) => a.plain.length - b.plain.length);
}

/** Small letters without marks; plurals, hyphens and the animal's own name make no difference. */
function plainOf({ spokenAs }: Species, text: string): string {
  const words = text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[^\p{L}\p{N}/]+/gu, ' ')
    .trim()
    .split(' ')
    .filter((word) => word !== '')
    .map(singular);
  const own = words.filter((word) => !spokenAs.includes(word));
  return (own.length > 0 ? own : words).join(' ');
}

function singular(word: string): string {
  if (word.length < 4 || word.endsWith('ss')) return word;
  return word.endsWith('s') ? word.slice(0, -1) : word;
}

function asking(text: string, hits: readonly CutHit[]): Pick<CutSearch, 'question'> {
  if (hits.length < 2) return {};
  const ways = hits.map((hit) => (hit.where ? `${hit.cut} (${hit.where})` : hit.cut));
  return { question: `"${text.trim()}" can be ${oneOf(ways)}. Which?` };
}

function onceEach(entries: readonly Entry[]): CutHit[] {
  const seen = new Set<string>();
  return entries
    .filter((entry) => !seen.has(entry.cut) && seen.add(entry.cut))
    .map(({ plain: _plain, tokens: _tokens, ...hit }) => hit);
}

/** Every word of a species with the cut it means: own names first, then schools', then the list of names. */
function entriesOf(species: Species): readonly Entry[] {
  const known = indexes.get(species);
  if (known) return known;
  const own = cutNames(species).map((each) => ({ ...each, said: each.cut, dish: false }));
  const as = (cut: string, said: string, more: Partial<CutHit>) =>
    own
      .filter((entry) => entry.cut === cut)
      .slice(0, 1)
      .map((entry) => ({ ...entry, said, ...more }));
  const hits = [
    ...own,
    ...Object.entries(species.words ?? {}).flatMap(([cut, said]) => as(cut, said, {})),
    ...species.recipes.flatMap(({ name, askedAs }) =>
      askedAs.split(', ').flatMap((said) => (said === '' ? [] : as(name, said, {}))),
    ),
    ...species.schools.flatMap((school) =>
      Object.entries(school.names).flatMap(([cut, said]) => as(cut, said, { where: school.name })),
    ),
    ...species.names.flatMap(({ say, cut, where, dish }) =>
      say.flatMap((said) => as(cut, said, { ...(where ? { where } : {}), dish: dish === true })),
    ),
  ];
  const entries = hits.map((hit) => {
    const plain = plainOf(species, hit.said);
    return { ...hit, plain, tokens: plain.split(' ') };
  });
  indexes.set(species, entries);
  return entries;
}
