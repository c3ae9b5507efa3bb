import { failure, success, type Result } from '../quantity/result';
import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { MonthsKept } from '../species/types';
import { monthsAfter } from '../time/shopTime';
import { humanReadable, type PackageCode } from './gs1';
import { layOut, type LabelMeasures, type LayoutProblem } from './layOut';
import type { LabelSize } from './sizes';

/** Under which law an animal was slaughtered and may be handed on. A field of the animal, not of the label. */
export const INSPECTION_CLASSES = ['custom-exempt', 'inspected'] as const;
export type InspectionClass = (typeof INSPECTION_CLASSES)[number];

export type LabelFacts = {
  readonly shopName: string;
  readonly establishment: string | null;
  readonly inspection: InspectionClass;
  readonly owner: string;
  readonly tag: string;
  readonly shareLabel: string;
  /** Empty where the shop does not print it. */
  readonly farm: string;
  readonly speciesName: string;
  readonly cut: string;
  readonly detail: string;
  /** Days from the kill to the block; null where they are nothing to speak of. */
  readonly agedDays: number | null;
  readonly net: Weight;
  readonly unit: WeighingUnit;
  /** `YYYY-MM-DD` */
  readonly packedOn: string;
  readonly keepUntil: string;
  /** What stands before the best-by date. */
  readonly dateWords: string;
  readonly words: readonly string[];
  readonly code: PackageCode;
  readonly size: LabelSize;
};

export type Label = {
  /** 4 x 3 inches where a label of before does not say. */
  readonly size?: LabelSize;
  readonly shop: string;
  readonly cut: string;
  readonly detail: string;
  readonly weight: string;
  /** Lines under the weight, in the order they are printed. */
  readonly lines: readonly string[];
  /** Words the law demands, printed large. */
  readonly statusWords: string;
  readonly barcode: string;
};

export type LabelProblem = 'no-establishment' | 'no-owner' | 'no-weight' | LayoutProblem;

/** What a shop says of its labels itself. */
export type LabelRules = {
  /** At the foot of every label; empty for none. */
  readonly labelNote: string;
  /** On the roll. */
  readonly labelSize: LabelSize;
  /** Before the best-by date. */
  readonly labelDate: string;
  /** Whether labels name the farm. */
  readonly labelFarm: boolean;
};

/** What a shop's own rules make of a label: its size, whether it names the farm, the words before the date and at the foot. */
export function byRules(
  { labelNote, labelSize, labelDate, labelFarm }: LabelRules,
  { farm, words }: Pick<LabelFacts, 'farm' | 'words'>,
): Pick<LabelFacts, 'farm' | 'words' | 'dateWords' | 'size'> {
  return {
    farm: labelFarm ? farm : '',
    words: labelNote === '' ? words : [...words, labelNote],
    dateWords: labelDate,
    size: labelSize,
  };
}

/** The lot of a package: the day it was packed on and the animal, in letters that bars can carry. */
export function lotOf(packedOn: string, tag: string): string {
  return `${packedOn.replaceAll('-', '').slice(2)}-${tag.replace(/[^A-Za-z0-9]/g, '')}`.slice(0, LONGEST_LOT);
}

const LONGEST_LOT = 20;

/** Ounces beside pounds, as inspected labels must say. */
function poundsAndOunces(net: Weight): string {
  const ounces = Math.floor((net * 16) / 1000 + 1e-9);
  return `${Math.floor(ounces / 16)} lb ${ounces % 16} oz`;
}

/**
 * What is printed on a package. A label that lacks what its class must carry is not printed, nor one whose words do not fit.
 *
 * @param measures - of the printer's letters and bars
 * @returns the label, or which required word is missing and where to add it
 */
export function labelFor(facts: LabelFacts, measures: LabelMeasures): Result<Label, LabelProblem> {
  if (facts.net <= 0) return failure('no-weight', 'A label needs a weight. Weigh the pack again.');
  if (facts.owner.trim() === '') {
    return failure(
      'no-owner',
      'The label must name the owner of the meat. Add the name to the share.',
      'owner',
    );
  }
  const inspected = facts.inspection === 'inspected';
  if (inspected && !facts.establishment) {
    return failure(
      'no-establishment',
      'Inspected meat must carry the establishment number. Add it to the shop before packing.',
      'establishment',
    );
  }
  const ounces = inspected && facts.unit === 'lb' ? ` (${poundsAndOunces(facts.net)})` : '';
  const label: Label = {
    size: facts.size,
    shop: facts.shopName,
    cut: facts.cut,
    detail: facts.detail,
    weight: `${formatWeight(facts.net, facts.unit === 'kg' ? 3 : 2)} ${facts.unit}${ounces}`,
    lines: smallLines(facts),
    statusWords: inspected ? 'INSPECTED' : 'NOT FOR SALE',
    barcode: humanReadable(facts.code),
  };
  const laidOut = layOut(label, measures);
  return laidOut.ok ? success(label) : laidOut;
}

/** The lines under the weight, in the order they are printed. */
function smallLines(facts: LabelFacts): string[] {
  const inspected = [
    `Est. ${facts.establishment}`,
    'Keep frozen. Thaw in the refrigerator. Cook thoroughly. Wash hands and boards.',
  ];
  return [
    [
      `${facts.speciesName} ${facts.tag}`,
      facts.shareLabel,
      facts.farm,
      facts.agedDays === null ? '' : `aged ${facts.agedDays} days`,
    ]
      .filter((said) => said !== '')
      .join(', '),
    `Owner: ${facts.owner}`,
    `Packed ${facts.packedOn}. ${facts.dateWords} ${facts.keepUntil}.`,
    ...facts.words,
    ...(facts.inspection === 'inspected' ? inspected : []),
  ];
}

/** Months a frozen pack keeps its quality: wrap by what it is (processing figures, wrapping; the shorter end). */
export const USUAL_MONTHS: MonthsKept = {
  vacuum: { cut: 9, grind: 3, cured: 3 },
  paper: { cut: 4, grind: 2, cured: 1 },
};

/** How long packs keep frozen in a wrap, in words for the customer. */
export function keepsWords(wrap: 'vacuum' | 'paper', months: MonthsKept = USUAL_MONTHS): string {
  const { cut, grind, cured } = months[wrap];
  return `Frozen, cuts keep ${cut} months, grind ${grind}, cured packs ${cured}.`;
}

/**
 * Best-by date of a frozen pack.
 *
 * @param packedOn - `YYYY-MM-DD`
 * @param months - the shop's own where it has set some
 * @example keepUntil('2026-11-24', 'vacuum', 'steaks') // => '2027-08-24'
 */
export function keepUntil(
  packedOn: string,
  wrap: 'vacuum' | 'paper',
  destination: string,
  months: MonthsKept = USUAL_MONTHS,
): string {
  return monthsAfter(packedOn, keepsMonths(wrap, destination, months));
}

/** Months that a frozen pack keeps its quality, by its wrap and by what it is. */
export function keepsMonths(
  wrap: 'vacuum' | 'paper',
  destination: string,
  months: MonthsKept = USUAL_MONTHS,
): number {
  const kind = destination === 'grind' ? 'grind' : destination === 'cured' ? 'cured' : 'cut';
  return months[wrap][kind];
}
