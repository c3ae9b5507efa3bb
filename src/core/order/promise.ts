import { formatMoney } from '../quantity/money';
import { formatWeight, type Weight } from '../quantity/weight';
import type { ShareFile } from './shareFile';
import { coldWeight, estimateOf, planOf } from './standing';
import type { SideWeight } from './work';

/**
 * What a household was told when its sheet was approved, before the animal was weighed as it is now, where less or more
 * comes of it than the range that was told: in words to be read out. Undefined where the promise holds.
 */
export function brokenPromise(file: ShareFile): string | undefined {
  const { sheet, sides, start } = file;
  if (!sheet?.approved || start) return undefined;
  const then = (ticket: SideWeight | undefined) => (ticket && ticket.at <= sheet.at ? ticket : undefined);
  const before = sides.map((side) => ({ ...side, hot: then(side.hot), cold: then(side.cold) }));
  if (before.every(({ hot, cold }, at) => hot === sides[at]!.hot && cold === sides[at]!.cold)) {
    return undefined;
  }
  const asTold: ShareFile = { ...file, sides: before };
  const { takeHomeLow, takeHomeHigh } = planOf(asTold).expected;
  const { takeHome } = planOf(file).expected;
  if (takeHome >= takeHomeLow && takeHome <= takeHomeHigh) return undefined;
  const { unit } = file.situation;
  const { sign } = file.priceList;
  const show = (weight: Weight) => formatWeight(weight, 0);
  const cold = `It weighs ${formatWeight(coldWeight(file), 1)} ${unit}, not about ${show(coldWeight(asTold))}`;
  const home = `${show(takeHome)} ${unit} come home, not ${show(takeHomeLow)} to ${show(takeHomeHigh)}`;
  const bill = `about ${formatMoney(estimateOf(file).total, sign)}, not ${formatMoney(estimateOf(asTold).total, sign)}`;
  return `${cold}, as was told when the sheet was approved: ${home}; ${bill}. Is it still right so?`;
}
