import { cutNames } from '../species/cutNames';
import { shiftAtlas } from '../carcass/shiftAtlas';
import {
  TISSUES,
  type Break,
  type CarcassType,
  type Circumstance,
  type Decision,
  type GrindRules,
  type Product,
  type Shifts,
  type Species,
  type TrimRule,
} from '../species/types';

/** A species that is another one with other figures and words: data only. */
export type Variant = {
  readonly id: string;
  /** The species it is made from. */
  readonly of: string;
  readonly name: string;
  readonly sideWord: string;
  /** Pounds of its own reference side. */
  readonly sideLb: number;
  /** What its tissues and atoms are against the other's. */
  readonly shift: Pick<CarcassType, 'target' | 'tissues' | 'atoms'>;
  /** Lengths against an equally heavy side of the other. */
  readonly lengthFactor: number;
  /** Vertebrae that have another name, all at once. */
  readonly vertebrae?: Readonly<Record<string, string>>;
  /** Labels of break places that the other name makes wrong. */
  readonly breakLabels?: Readonly<Record<string, Readonly<Record<string, string>>>>;
  /** Words that stand for others wherever people read them; lower case, capitals follow. */
  readonly words: Readonly<Record<string, string>>;
  /** Options that are not offered, as `decision.option`. */
  readonly drop?: readonly string[];
  readonly house?: Readonly<Record<string, Decision['house']>>;
  /** Added to the share that a trim rule takes off, where the rule takes anything off and not all of it. */
  readonly trim?: Partial<TrimRule>;
  readonly facts: Omit<Partial<Species>, 'shifts'> & {
    readonly shifts?: Omit<Partial<Shifts>, 'fatness'> & { readonly fatness?: Partial<Shifts['fatness']> };
  };
  readonly grind: Partial<GrindRules>;
  readonly source: string;
};

/** Keys whose strings name things for the program; every other string is for people. */
const NAMES_FOR_THE_PROGRAM = new Set([
  'id',
  'atom',
  'atoms',
  'decision',
  'option',
  'param',
  'run',
  'from',
  'to',
  'key',
  'charges',
  'house',
  'zone',
  'breaks',
  'if',
  'takesOver',
]);

/**
 * The species that a variant makes of another.
 *
 * @throws RangeError when the variant's shift is not of the other's atoms
 */
export function variantOf(base: Species, variant: Variant): Species {
  const { facts, shift, sideLb } = variant;
  const asType: CarcassType = { id: variant.id, label: variant.name, ...shift };
  const shifted = shiftAtlas({ ...base, types: [asType] }, { type: variant.id }, base.atlas.reference.sideLb);
  const lengths = Math.cbrt(sideLb / base.atlas.reference.sideLb) * variant.lengthFactor;
  const rename = (name: string) => variant.vertebrae?.[name] ?? name;
  const made: Species = {
    ...base,
    ...facts,
    shifts: {
      ...base.shifts,
      ...facts.shifts,
      fatness: { ...base.shifts.fatness, ...facts.shifts?.fatness },
    },
    grind: grindOf(base.grind, variant),
    decisions: base.decisions.map((decision) => decisionOf(decision, variant)),
    breaks: base.breaks.map((each) => breakOf(each, variant)),
    schools: base.schools.map((school) => ({ ...school, house: houseWithout(school.house, variant) })),
  };
  const worded = withNames(withWords(made, variant.words), rename);
  return {
    ...worded,
    names: worded.names.filter((name) => cutsOf(worded).has(name.cut)),
    schools: worded.schools.map((school) => ({ ...school, names: namesInUse(school.names, worded) })),
    id: variant.id,
    name: variant.name,
    sideWord: variant.sideWord,
    atlas: {
      ...withNames(base.atlas, rename),
      reference: { ...base.atlas.reference, sideLb },
      vertebrae: base.atlas.vertebrae.map(rename),
      atoms: shifted.map((atom) => ({
        ...atom,
        ...(atom.span ? { span: [rename(atom.span[0]), rename(atom.span[1])] as const } : {}),
        ...(atom.lengthIn === undefined ? {} : { lengthIn: atom.lengthIn * lengths }),
      })),
      source: variant.source,
    },
  };
}

function decisionOf(decision: Decision, { drop = [], house, trim = {}, facts }: Variant): Decision {
  const options = decision.options
    .filter((option) => !drop.includes(`${decision.id}.${option.id}`))
    .map((option) => ({ ...option, products: option.products.map((product) => trimmed(product, trim)) }));
  const own = house?.[decision.id] ?? decision.house;
  const { when, ...always } = own;
  const kept = when?.filter((each) => isOfTypes(each.if, facts.types));
  return { ...decision, options, house: kept?.length ? { ...always, when: kept } : always };
}

/** Whether a circumstance speaks of types that the variant has; all of them where it keeps the other's. */
function isOfTypes({ types = [] }: Circumstance, known: Species['types'] | undefined): boolean {
  return known === undefined || types.every((id) => known.some((type) => type.id === id));
}

/** The other's rules of grinding with what the variant says, and without what is said of types it has not. */
function grindOf(base: GrindRules, { grind, facts }: Variant): GrindRules {
  const made = { ...base, ...grind };
  const { when, ...always } = made.fatPct;
  const kept = when?.filter((each) => isOfTypes(each.if, facts.types));
  return { ...made, fatPct: kept?.length ? { ...always, when: kept } : always };
}

/** The product with every trim rule that takes something off taking so much more. */
function trimmed(product: Product, more: Partial<TrimRule>): Product {
  const harder = <Rule extends Partial<TrimRule>>(rule: Rule): Rule => {
    const shares = TISSUES.flatMap((tissue): [string, number][] => {
      const share = rule[tissue];
      return share === undefined || share >= 1 ? [] : [[tissue, Math.min(0.95, share + (more[tissue] ?? 0))]];
    });
    return Object.values(rule).some((share) => (share ?? 0) > 0)
      ? { ...rule, ...Object.fromEntries(shares) }
      : rule;
  };
  return {
    ...product,
    trim: harder(product.trim),
    claims: product.claims.map((claim) => (claim.trim ? { ...claim, trim: harder(claim.trim) } : claim)),
  };
}

function houseWithout(house: Readonly<Record<string, string>> | undefined, { drop = [] }: Variant) {
  return Object.fromEntries(
    Object.entries(house ?? {}).filter(([decision, option]) => !drop.includes(`${decision}.${option}`)),
  );
}

/** A school's names of the cuts that the variant still makes. */
function namesInUse(names: Readonly<Record<string, string>>, species: Species): Record<string, string> {
  const cuts = cutsOf(species);
  return Object.fromEntries(Object.entries(names).filter(([cut]) => cuts.has(cut)));
}

function cutsOf(species: Species): ReadonlySet<string> {
  return new Set(cutNames(species).map(({ cut }) => cut));
}

function breakOf(broken: Break, { breakLabels }: Variant): Break {
  const labels = breakLabels?.[broken.id] ?? {};
  return {
    ...broken,
    places: broken.places.map((place) => ({ ...place, label: labels[place.id] ?? place.label })),
  };
}

/** Every string for people with the variant's words in place of the other's. */
function withWords<T>(value: T, words: Readonly<Record<string, string>>): T {
  const pattern = new RegExp(`\\b(${Object.keys(words).join('|')})\\b`, 'gi');
  const reword = (text: string) =>
    text.replace(pattern, (found) => {
      const word = words[found.toLowerCase()]!;
      return found[0] === found[0]!.toUpperCase() ? word[0]!.toUpperCase() + word.slice(1) : word;
    });
  return mapStrings(value, '', {
    change: (text, key) => (NAMES_FOR_THE_PROGRAM.has(key) ? text : reword(text)),
    nameCuts: reword,
  }) as T;
}

/** Every vertebra under its other name: spans, break places, names along a run. */
function withNames<T>(value: T, rename: (name: string) => string): T {
  const places = new Set(['span', 'behind', 'from', 'of']);
  return mapStrings(value, '', { change: (text, key) => (places.has(key) ? rename(text) : text) }) as T;
}

type Changes = {
  readonly change: (text: string, key: string) => string;
  /** Changes the keys of a school's names, which are cuts and so words for people. */
  readonly nameCuts?: (text: string) => string;
};

function mapStrings(value: unknown, key: string, changes: Changes): unknown {
  const { change, nameCuts } = changes;
  if (typeof value === 'string') return change(value, key);
  if (Array.isArray(value)) return value.map((each) => mapStrings(each, key, changes));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([own, each]) => [
      key === 'names' && nameCuts ? nameCuts(own) : own,
      mapStrings(each, own, changes),
    ]),
  );
}
