import { cellsOf } from '../atlas/cells';
import type { Condition } from '../carcass/condition';
import type { SideId } from './animal';
import { inSentence } from '../quantity/inSentence';
import { convertUnits, formatWeight, inUnits, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Decision, Species } from '../species/types';
import type { Instant } from '../time/shopTime';

/** What a finding does to what can be expected of the side. */
type Effect = 'missing' | 'condemned' | 'split' | 'eye' | 'dried';

type KindWords = {
  readonly label: string;
  readonly effect: Effect;
  /** What is measured with it, besides a weight. */
  readonly measures?: 'square inches' | 'percent of the spine';
  /** What the household reads: where, and how much where that is known. */
  readonly told: (where: string, weight: string) => string;
};

/** What can be found on a side, on receipt or later; a closed list, so that it lowers the forecast by rule. */
export const FOUND_KINDS = {
  bruise: {
    label: 'bruise',
    effect: 'condemned',
    told: (where, weight) =>
      `A bruise at the ${where}${weight} was cut away. It was there when the side came.`,
  },
  clot: {
    label: 'blood clot',
    effect: 'condemned',
    told: (where, weight) =>
      `Blood spots at the ${where}${weight} were cut away; that meat is fit for nothing.`,
  },
  abscess: {
    label: 'abscess or swollen gland',
    effect: 'condemned',
    told: (where, weight) => `A part of the ${where}${weight} was not fit to eat and was taken out.`,
  },
  condemned: {
    label: 'condemned by the inspector',
    effect: 'condemned',
    told: (where, weight) => `The inspector kept back the ${where}${weight}.`,
  },
  missing: {
    label: 'missing when it came',
    effect: 'missing',
    told: (where, weight) => `The ${where}${weight} was not on the side when it came to us.`,
  },
  split: {
    label: 'split off centre',
    effect: 'split',
    measures: 'percent of the spine',
    told: () => 'The two halves were not split evenly, so the two sides differ by bone.',
  },
  'small-eye': {
    label: 'small or large eye',
    effect: 'eye',
    measures: 'square inches',
    told: (_, size) => `The eye of the loin measured${size}, so the steaks and chops are as it gave them.`,
  },
  dried: {
    label: 'dried face, thin cover',
    effect: 'dried',
    told: () => 'The cover is thin and the face had dried; the crust was cut off and is never ground.',
  },
} as const satisfies Readonly<Record<string, KindWords>>;

export type FoundKind = keyof typeof FOUND_KINDS;

/** Something that was found on a side. It stands until it is withdrawn. */
export type Found = {
  readonly id: string;
  readonly clientId: string;
  readonly sideId: SideId;
  readonly kind: FoundKind;
  /** The row of the sheet that it is on; empty where it is of the whole side. */
  readonly decision: string;
  /** Pounds or kilograms of it, thousandths; null where all of the row is meant, or nothing is weighed. */
  readonly weight: Weight | null;
  /** What the kind measures; null where it measures nothing. */
  readonly measure: number | null;
  readonly note: string;
  readonly photoId: string | null;
  readonly at: Instant;
  readonly actorId: string;
};

/** The side of a share with what was found on it. */
type FoundOn = { readonly sideLb: number; readonly found: readonly Found[] };

/** Of the share's sides both are one condition: what is on one of them is half of it. */
export function conditionWith(
  species: Species,
  condition: Condition,
  { unit, sides }: { readonly unit: WeighingUnit; readonly sides: readonly FoundOn[] },
): Condition {
  if (sides.every(({ found }) => found.length === 0)) return condition;
  const shares = { missing: { ...condition.missing }, condemned: { ...condition.condemned } };
  const measured: { eyeSqIn?: number; spinePct?: number; thinCover?: boolean } = {};
  for (const { sideLb, found } of sides) {
    for (const each of found) {
      const { effect } = FOUND_KINDS[each.kind];
      if (effect === 'eye' && each.measure !== null) measured.eyeSqIn = each.measure;
      // Both halves of one animal have all of its spine between them.
      if (effect === 'split' && each.measure !== null && sides.length === 1) measured.spinePct = each.measure;
      if (effect === 'dried') measured.thinCover = true;
      if (effect !== 'missing' && effect !== 'condemned') continue;
      const part = partOf(species, each, { unit, sideLb }) / sides.length;
      for (const atom of atomsOf(species, each.decision)) {
        shares[effect][atom] = Math.min(1, (shares[effect][atom] ?? 0) + part);
      }
    }
  }
  return { ...condition, ...measured, ...withoutEmpty(shares) };
}

function withoutEmpty(shares: Readonly<Record<'missing' | 'condemned', Record<string, number>>>) {
  return Object.fromEntries(Object.entries(shares).filter(([, atoms]) => Object.keys(atoms).length > 0));
}

/** Atoms of a row: what its first way that packs anything claims for certain. */
function atomsOf({ decisions }: Species, row: string): string[] {
  const decision = decisions.find(({ id }) => id === row);
  const claims = (decision?.options ?? [])
    .map((option) =>
      option.products.flatMap((product) => product.claims.filter(({ yields, onlyIf }) => !yields && !onlyIf)),
    )
    .find((each) => each.length > 0);
  return [...new Set((claims ?? []).map(({ atom }) => atom))];
}

/** How much of its row a finding is, 0 to 1. */
function partOf(
  species: Species,
  { decision, weight }: Found,
  { unit, sideLb }: { readonly unit: WeighingUnit; readonly sideLb: number },
): number {
  if (weight === null) return 1;
  const cells = cellsOf({ species, addOns: [] }, sideLb);
  const wanted = new Set(atomsOf(species, decision));
  const share = cells.atoms.reduce((sum, { id }, at) => sum + (wanted.has(id) ? cells.atomShare[at]! : 0), 0);
  const rowLb = share * sideLb;
  return rowLb > 0 ? Math.min(1, convertUnits(inUnits(weight), unit, 'lb') / rowLb) : 0;
}

/** Where a finding is and what it is, as the floor reads it: `bruise, ham, 1.4 lb`. */
export function foundWords(found: Found, decisions: readonly Decision[], unit: WeighingUnit): string {
  const { kind, weight, measure, note } = found;
  const kindWords: KindWords = FOUND_KINDS[kind];
  return [
    kindWords.label,
    whereOf(found, decisions),
    weight === null ? '' : `${formatWeight(weight, 1)} ${unit}`,
    measure === null ? '' : measureWords(kindWords, measure),
    note,
  ]
    .filter((said) => said !== '')
    .join(', ');
}

/** What the household reads of it. */
export function foundTold(found: Found, decisions: readonly Decision[], unit: WeighingUnit): string {
  const kind: KindWords = FOUND_KINDS[found.kind];
  const { weight, measure } = found;
  const size =
    weight !== null
      ? `, ${formatWeight(weight, 1)} ${unit},`
      : measure !== null
        ? ` ${measureWords(kind, measure)}`
        : '';
  return kind.told(whereOf(found, decisions) || 'side', size);
}

function whereOf({ decision }: Found, decisions: readonly Decision[]): string {
  const row = decisions.find(({ id }) => id === decision);
  return row ? inSentence(row.title) : '';
}

function measureWords({ measures }: KindWords, measure: number): string {
  return measures === 'square inches' ? `${measure} sq in` : `${measure} % of the spine`;
}
