import type { SharePart } from '@/core/shares/parts';
import type { BookableSpecies, FoundHousehold } from '@/server/book';
import { divisionNamed, type Division } from './divisions';

/** One household of a call as it stands typed. */
export type ShareDraft = {
  readonly part: SharePart;
  readonly sharePct: string;
  readonly name: string;
  readonly phone: string;
  readonly deposit: string;
  readonly payer: string;
  readonly contact: string;
  readonly known: FoundHousehold | null;
  readonly sheet: 'house' | 'last' | 'tried' | 'empty';
  /** The code that they say of a sheet they tried. */
  readonly code: string;
  /** Nobody has it yet: the farm's until it is sold. */
  readonly unsold: boolean;
};

export type AnimalDraft = {
  readonly key: number;
  /** `H121`, or a run: `H121-H124`. */
  readonly tag: string;
  readonly species: string;
  readonly sex: string;
  readonly breed: string;
  readonly months: string;
  readonly grade: string;
  readonly live: string;
  readonly type: string;
  readonly school: string;
  readonly rite: string;
  readonly flags: readonly string[];
  readonly addOns: readonly string[];
  readonly unsplit: boolean;
  readonly division: string;
  readonly shares: readonly ShareDraft[];
};

/** A whole call, as it stands typed. */
export type Call = {
  readonly farm: { readonly name: string; readonly phone: string };
  readonly killDate: string;
  readonly inspection: 'custom-exempt' | 'inspected';
  readonly animals: readonly AnimalDraft[];
};

export function emptyShare({ part, sharePct }: Division['parts'][number]): ShareDraft {
  return {
    part,
    sharePct: String(sharePct),
    name: '',
    phone: '',
    deposit: '',
    payer: '',
    contact: '',
    known: null,
    sheet: 'empty',
    code: '',
    unsold: false,
  };
}

export function emptyAnimal(key: number, species: string): AnimalDraft {
  return {
    key,
    tag: '',
    species,
    sex: '',
    breed: '',
    months: '',
    grade: '',
    live: '',
    type: '',
    school: '',
    rite: '',
    flags: [],
    addOns: [],
    unsplit: false,
    division: 'halves',
    shares: divisionNamed('halves').parts.map(emptyShare),
  };
}

export function emptyCall(species: string, killDate: string): Call {
  return {
    farm: { name: '', phone: '' },
    killDate,
    inspection: 'custom-exempt',
    animals: [emptyAnimal(0, species)],
  };
}

/** The animal divided anew; whoever was named keeps a place as long as there is one. */
export function divided(animal: AnimalDraft, division: Division): AnimalDraft {
  const shares = division.parts.map((part, at) => ({
    ...(animal.shares[at] ?? emptyShare(part)),
    part: part.part,
    sharePct: String(part.sharePct),
  }));
  return { ...animal, division: division.id, shares };
}

/** The animal of another species: what was said of the one before does not hold for it. */
export function ofSpecies(animal: AnimalDraft, species: BookableSpecies): AnimalDraft {
  const division = divisionNamed(animal.division);
  const fits = !division.quarters || species.quartered;
  const plain = {
    ...animal,
    species: species.id,
    type: '',
    school: '',
    rite: '',
    flags: [],
    addOns: [],
    unsplit: false,
  };
  return fits ? plain : divided(plain, divisionNamed('halves'));
}

/** A tag begins with the letter of its animal where a shop writes it so: `H121` is a hog. */
export function speciesOfTag(tag: string, species: readonly BookableSpecies[]): BookableSpecies | undefined {
  const [letter] = tag.trim().toLowerCase();
  if (!letter || !/[a-z]/.test(letter)) return undefined;
  return species.find(({ name }) => name.toLowerCase().startsWith(letter));
}

const RUN = /^([A-Za-z-]*?)(\d+)\s*(?:-|to|–)\s*(?:[A-Za-z-]*?)(\d+)$/;
/** More in one run is a slip of the hand. */
const LONGEST_RUN = 20;

/**
 * Tags as people say them: one, or a run of them.
 *
 * @example tagsOf('H121-H123') // => ['H121', 'H122', 'H123']
 */
export function tagsOf(text: string): string[] {
  const said = text.trim();
  const [, letters = '', from, to] = RUN.exec(said) ?? [];
  if (from === undefined || to === undefined) return said === '' ? [] : [said];
  const [first, last] = [Number(from), Number(to.length < from.length ? from.slice(0, -to.length) + to : to)];
  if (last < first || last - first >= LONGEST_RUN) return [said];
  return Array.from(
    { length: last - first + 1 },
    (_, at) => `${letters}${String(first + at).padStart(from.length, '0')}`,
  );
}

/** An animal whose tag is a run becomes as many animals, alike but for their tags; the first keeps its households. */
export function spread(call: Call, key: number): Call {
  const next = Math.max(...call.animals.map((animal) => animal.key)) + 1;
  const animals = call.animals.flatMap((animal): AnimalDraft[] => {
    const tags = tagsOf(animal.tag);
    if (animal.key !== key || tags.length < 2) return [animal];
    return tags.map((tag, at) =>
      at === 0
        ? { ...animal, tag }
        : { ...animal, key: next + at, tag, shares: divisionNamed(animal.division).parts.map(emptyShare) },
    );
  });
  return { ...call, animals };
}

/** What each share of an animal comes to, percent of the animal; what is typed wrong counts for nothing. */
export function pctOf({ sharePct }: ShareDraft): number {
  const pct = Number(sharePct.replace(',', '.'));
  return Number.isFinite(pct) ? pct : 0;
}
