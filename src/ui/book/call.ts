import type { OrderDocument, PersonDocument, ShareDocument } from '@/core/order/document';
import type { WeighingUnit } from '@/core/quantity/weight';
import type { SharePart } from '@/core/shares/parts';
import type { BookableSpecies, FoundHousehold } from '@/server/book';

/** How an animal is divided among those who buy it. */
export type Division = {
  readonly id: string;
  readonly label: string;
  /** What it means, where it is chosen. */
  readonly explains: string;
  readonly parts: readonly { readonly part: SharePart; readonly sharePct: number }[];
  /** Only of animals that are quartered. */
  readonly quarters?: boolean;
};

const all = (part: SharePart) => ({ part, sharePct: 100 });
const half = (part: SharePart) => ({ part, sharePct: 50 });

/** In the order in which a key goes through them. */
export const DIVISIONS: readonly Division[] = [
  {
    id: 'halves',
    label: 'two halves',
    explains: 'A half is one side, with its own sheet: fore and hind, all cuts of it.',
    parts: [all('left'), all('right')],
  },
  {
    id: 'whole',
    label: 'one whole',
    explains: 'Both sides for one household, one sheet.',
    parts: [all('whole')],
  },
  {
    id: 'mixed',
    label: 'four mixed quarters',
    explains:
      'A mixed quarter is half of a side: the side is cut as one by one sheet, and the packages are shared out fairly.',
    parts: [half('left'), half('left'), half('right'), half('right')],
  },
  {
    id: 'half-mixed',
    label: 'a half and two mixed quarters',
    explains: 'The left side for one household, the right one cut as one and shared out by two.',
    parts: [all('left'), half('right'), half('right')],
  },
  {
    id: 'quarters',
    label: 'fore and hind quarters',
    explains: 'A fore quarter has chuck, rib and brisket, a hind quarter loin and round: they are not alike.',
    parts: [all('left-fore'), all('left-hind'), all('right-fore'), all('right-hind')],
    quarters: true,
  },
  {
    id: 'percent',
    label: 'by percent',
    explains: 'The whole animal cut as one by one sheet; the packages are shared out by percent.',
    parts: [half('whole'), half('whole')],
  },
];

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
  readonly sheet: 'house' | 'last' | 'empty';
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
    unsold: false,
  };
}

export function divisionNamed(id: string): Division {
  return DIVISIONS.find((division) => division.id === id) ?? DIVISIONS[0]!;
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

function personOf(name: string, phone = ''): PersonDocument {
  return { name: name.trim(), ...(phone.trim() ? { phone: phone.trim() } : {}) };
}

/** What is no number goes as it was typed: the house says so on its field. */
function numberOr(text: string): number {
  const said = text.trim().replace(',', '.');
  return (Number.isFinite(Number(said)) ? Number(said) : text) as number;
}

function shareOf(draft: ShareDraft): ShareDocument {
  const pct = pctOf(draft);
  return {
    part: draft.part,
    ...(pct === 100 ? {} : { sharePct: numberOr(draft.sharePct) }),
    owner: personOf(draft.name, draft.phone),
    ...(draft.payer.trim() ? { payer: personOf(draft.payer) } : {}),
    ...(draft.contact.trim() ? { contact: personOf(draft.contact) } : {}),
    ...(draft.deposit.trim() ? { deposit: numberOr(draft.deposit) } : {}),
    ...(draft.sheet === 'house' ? { sheet: { houseForTheRest: true } } : {}),
  };
}

function carcassOf({ school, type, rite, flags }: AnimalDraft): Pick<OrderDocument['animal'], 'carcass'> {
  const condition = {
    ...(type ? { type } : {}),
    ...(rite ? { rite: rite as 'halal' } : {}),
    ...(flags.length > 0 ? { flags } : {}),
  };
  const said = { ...(school ? { school } : {}), ...(Object.keys(condition).length > 0 ? { condition } : {}) };
  return Object.keys(said).length > 0 ? { carcass: said } : {};
}

function factsOf({ breed, months, grade, live }: AnimalDraft): Pick<OrderDocument['animal'], 'facts'> {
  const facts = {
    ...(breed.trim() ? { breed: breed.trim() } : {}),
    ...(months.trim() ? { months: numberOr(months) } : {}),
    ...(grade.trim() ? { grade: grade.trim() } : {}),
    ...(live.trim() ? { liveWeight: numberOr(live) } : {}),
  };
  return Object.keys(facts).length > 0 ? { facts } : {};
}

/** The order of one animal of a call. */
export function documentOf(call: Call, animal: AnimalDraft, unit: WeighingUnit): OrderDocument {
  const unsold = animal.shares.filter((share) => share.unsold);
  return {
    format: 'fractum.order',
    version: 1,
    unit,
    farm: personOf(call.farm.name, call.farm.phone),
    animal: {
      tag: animal.tag.trim(),
      species: animal.species,
      killDate: call.killDate,
      inspection: call.inspection,
      ...(animal.sex.trim() ? { sex: animal.sex.trim() } : {}),
      ...factsOf(animal),
      ...(animal.unsplit ? { unsplit: true } : {}),
      ...(animal.addOns.length > 0 ? { addOns: animal.addOns } : {}),
      ...carcassOf(animal),
    },
    shares: animal.shares.filter((share) => !share.unsold).map(shareOf),
    ...(unsold.length > 0
      ? {
          unsold: unsold.map(({ part, sharePct }) => ({
            part,
            ...(sharePct === '100' ? {} : { sharePct: numberOr(sharePct) }),
          })),
        }
      : {}),
  };
}

/** Shares that are asked to be as last time, by animal and share of the documents: `0.1`. */
export function lastTimesOf({ animals }: Call): Record<string, string> {
  return Object.fromEntries(
    animals.flatMap((animal, at) =>
      animal.shares
        .filter((share) => !share.unsold)
        .flatMap((share, place) =>
          share.sheet === 'last' && share.known?.last ? [[`${at}.${place}`, share.known.last.shareId]] : [],
        ),
    ),
  );
}

/** What a call comes to, to be read back before it is booked. */
export type CallSum = {
  readonly shares: number;
  readonly sold: number;
  readonly unsold: number;
  readonly deposits: number;
};

export function sumOf({ animals }: Call): CallSum {
  const shares = animals.flatMap((animal) => animal.shares);
  const unsold = shares.filter((share) => share.unsold).length;
  const deposits = shares.reduce((sum, share) => {
    const paid = Number(share.deposit.replace(',', '.'));
    return sum + (share.unsold || !Number.isFinite(paid) ? 0 : paid);
  }, 0);
  return { shares: shares.length, sold: shares.length - unsold, unsold, deposits };
}

/** The animals in words: `one beef and two hogs`. */
export function animalsInWords({ animals }: Call, species: readonly BookableSpecies[]): string {
  const counts = species
    .map(({ id, name }) => ({
      name: name.toLowerCase(),
      count: animals.filter((animal) => animal.species === id).length,
    }))
    .filter(({ count }) => count > 0)
    .map(({ name, count }) => `${NUMBERS[count] ?? count} ${count > 1 ? `${name}s` : name}`);
  return counts.length < 2 ? (counts[0] ?? '') : `${counts.slice(0, -1).join(', ')} and ${counts.at(-1)}`;
}

const NUMBERS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
] as const;
