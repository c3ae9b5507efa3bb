import type { ForecastLine } from '@/core/forecast/types';
import { tradeItem } from '@/core/label/gs1';
import { keepUntil, labelFor, type Label, type LabelProblem } from '@/core/label/label';
import { partWords } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import type { Weighing } from '@/core/order/work';
import { formatInches } from '@/core/quantity/length';
import type { Result } from '@/core/quantity/result';
import type { HouseRules } from '@/core/shop/houseRules';
import { dayIn } from '@/core/time/shopTime';

/** `1 in, 2 in this pack` */
function detailOf(line: ForecastLine, pieces: number | null): string {
  const parts = [
    line.thicknessIn === null ? '' : formatInches(line.thicknessIn),
    pieces === null ? '' : `${pieces} in this pack`,
  ];
  return parts.filter((part) => part !== '').join(', ');
}

/** What stood on the scale: the weighing of a package, the line of the plan it is of, and when it was taken. */
export type Packed = { readonly weighing: Weighing; readonly line: ForecastLine; readonly takenAt: Date };

/** How the shop's labels are now: the roll is the same for old orders and new ones. */
export type LabelRules = Pick<HouseRules, 'labelNote' | 'labelSize' | 'labelDate' | 'labelFarm'>;

/** What is printed on a package, or which word the law demands is missing. */
export function packageLabel(
  file: ShareFile,
  { weighing, line, takenAt }: Packed,
  { labelNote, labelSize, labelDate, labelFarm }: LabelRules,
): Result<Label, LabelProblem> {
  const { shop, animal, share, situation } = file;
  const plan = planOf(file);
  const packedOn = dayIn(shop.zone, takenAt);
  return labelFor({
    shopName: shop.name,
    establishment: shop.establishment,
    inspection: animal.inspection,
    owner: file.together.map(({ owner }) => owner.name).join(', '),
    tag: animal.tag,
    shareLabel: partWords(file.together.length > 1 ? { share: { ...share, sharePct: 100 } } : file),
    farm: labelFarm ? animal.farm.name : '',
    speciesName: situation.species.name,
    cut: line.cut,
    detail: detailOf(line, weighing.pieces),
    net: weighing.net,
    unit: shop.unit,
    packedOn,
    keepUntil: keepUntil(packedOn, plan.wrap, line.destination, file.situation.species.months),
    dateWords: labelDate,
    words: [...line.labelWords, ...(labelNote ? [labelNote] : [])],
    code: {
      tradeItem: tradeItem(shop.codePrefix, plan.items[line.key]!),
      net: weighing.net,
      unit: shop.unit,
      lot: `${packedOn.replaceAll('-', '').slice(2)}-${animal.tag.replace(/[^A-Za-z0-9]/g, '')}`.slice(0, 20),
      serial: String(weighing.serial).padStart(6, '0'),
    },
    size: labelSize,
  });
}
