import { humanReadable, tradeItem } from '@/core/label/gs1';
import { lotOf, type Label, type LabelRules } from '@/core/label/label';
import { layOut, type LayoutProblem } from '@/core/label/layOut';
import { partWords } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import type { Weighing } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import { formatWeight } from '@/core/quantity/weight';
import { dayIn } from '@/core/time/shopTime';
import { labelMeasures } from '@/papers';

/** Tubs are no cut of the catalogue: theirs is the number that no cut has. */
const NO_ITEM = 0;

/** The tag of a tub of parted trim: whose it is and how lean, with bars that the grinder reads. */
export function tubTag(
  { shop, animal, share, together, situation }: ShareFile,
  { cut, net, serial, at }: Weighing,
  { labelSize }: Pick<LabelRules, 'labelSize'>,
): Result<Label, LayoutProblem> {
  const day = dayIn(shop.zone, new Date(at));
  const code = {
    tradeItem: tradeItem(shop.codePrefix, NO_ITEM),
    net,
    unit: shop.unit,
    lot: lotOf(day, animal.tag),
    serial: String(serial).padStart(6, '0'),
  };
  const label: Label = {
    size: labelSize,
    shop: shop.name,
    cut,
    detail: 'tub, to the grinder',
    weight: `${formatWeight(net, shop.unit === 'kg' ? 3 : 2)} ${shop.unit}`,
    lines: [
      `${situation.species.name} ${animal.tag}, ${partWords({ share: together.length > 1 ? { ...share, sharePct: 100 } : share })}`,
      `Owner: ${together.map(({ owner }) => owner.name).join(', ')}`,
      `Weighed ${day}. Ground for this owner alone.`,
    ],
    statusWords: 'NOT A PACK',
    barcode: humanReadable(code),
  };
  const laidOut = layOut(label, labelMeasures);
  return laidOut.ok ? success(label) : laidOut;
}
