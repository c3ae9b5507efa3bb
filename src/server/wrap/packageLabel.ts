import type { ForecastLine } from '@/core/forecast/types';
import { tradeItem } from '@/core/label/gs1';
import {
  byRules,
  keepUntil,
  labelFor,
  lotOf,
  type Label,
  type LabelProblem,
  type LabelRules,
} from '@/core/label/label';
import { partWords } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { daysHung, planOf } from '@/core/order/standing';
import type { Weighing } from '@/core/order/work';
import { formatInches } from '@/core/quantity/length';
import { inSentence } from '@/core/quantity/inSentence';
import type { Result } from '@/core/quantity/result';
import { formatWeight, sumWeights, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { packWords } from '@/core/smokehouse/packWords';
import type { Pantry } from '@/core/species/recipe';
import { dayIn } from '@/core/time/shopTime';
import { labelMeasures } from '@/papers';

/** Meat that hung for fewer days is not called aged. */
const FEWEST_AGED = 5;

/** `1 in, 2 in this pack` */
function detailOf(line: ForecastLine, pieces: number | null): string {
  const parts = [
    line.thicknessIn === null ? '' : formatInches(line.thicknessIn),
    pieces === null ? '' : `${pieces} in this pack`,
  ];
  return parts.filter((part) => part !== '').join(', ');
}

/** What stood on the scale: the weighing of a package, the line of the plan it is of, and when it was taken. */
export type Packed = {
  readonly weighing: Weighing;
  readonly line: ForecastLine;
  readonly takenAt: Date;
  /** The cut that was in the pack before. */
  readonly onto?: Weighing | undefined;
};

/** What is in a pack, in words: of two cuts both, each with what it weighs. */
function contentsOf(
  { weighing, line, onto }: Pick<Packed, 'weighing' | 'line' | 'onto'>,
  unit: WeighingUnit,
): { cut: string; detail: string } {
  if (!onto) return { cut: weighing.cut, detail: detailOf(line, weighing.pieces) };
  const each = (cut: string, net: Weight) => `${cut} ${formatWeight(net, unit)} ${unit}`;
  return {
    cut: `${onto.cut} and ${inSentence(line.cut)}`,
    detail: `${each(onto.cut, onto.net)}, ${each(inSentence(line.cut), weighing.net)}`,
  };
}

/** What is printed on a package, or which word the law demands is missing. */
export function packageLabel(
  file: ShareFile,
  { weighing, line, takenAt, onto }: Packed,
  /** As the shop's labels are now: the roll is the same for old orders and new ones. */
  { rules, pantry }: { readonly rules: LabelRules; readonly pantry: Pantry },
): Result<Label, LabelProblem> {
  const { shop, animal, share, situation } = file;
  const plan = planOf(file);
  const packedOn = dayIn(shop.zone, takenAt);
  const aged = daysHung(file, takenAt);
  const net = sumWeights([weighing.net, ...(onto ? [onto.net] : [])]);
  const before = plan.expected.lines.find(({ key }) => key === onto?.lineKey);
  const facts = {
    shopName: shop.name,
    establishment: shop.establishment,
    inspection: animal.inspection,
    owner: file.together.map(({ owner }) => owner.name).join(', '),
    tag: animal.tag,
    shareLabel: partWords(file.together.length > 1 ? { share: { ...share, sharePct: 100 } } : file),
    speciesName: situation.species.name,
    ...contentsOf({ weighing, line, onto }, shop.unit),
    agedDays: aged < FEWEST_AGED || line.cure !== null ? null : aged,
    net,
    unit: shop.unit,
    packedOn,
    keepUntil: keepUntil(packedOn, plan.wrap, line.destination, file.situation.species.months),
    ...byRules(rules, {
      farm: animal.farm.name,
      words: [
        ...new Set([...(before ? packWords(file, before, pantry) : []), ...packWords(file, line, pantry)]),
      ],
    }),
    code: {
      tradeItem: tradeItem(shop.codePrefix, plan.items[line.key]!),
      net,
      unit: shop.unit,
      lot: lotOf(packedOn, animal.tag),
      serial: String(weighing.serial).padStart(6, '0'),
    },
  };
  return labelFor(facts, labelMeasures);
}
