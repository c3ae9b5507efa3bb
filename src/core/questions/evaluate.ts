import { billRange, type BillRange } from './billRange';
import { billFor, itemsOfForecast, type Bill, type BillBasis } from '../charges/bill';
import { ownItems } from '../charges/ownItems';
import type { PriceList } from '../charges/priceList';
import { forecast, forecastOf } from '../forecast/forecast';
import { divideSides } from '../forecast/onTheBlock';
import type { Forecast } from '../forecast/types';
import { listed } from '../quantity/listed';
import { formatMoney, type Cents } from '../quantity/money';
import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import { ownOf, type Portion } from '../shares/own';
import { findingsOf, type Finding } from './findings';
import type { Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';

/** What a sheet is worked out against. */
export type Ground = {
  readonly situation: Situation;
  readonly coldSides: readonly Weight[];
  readonly priceList: PriceList;
  readonly bill: Pick<BillBasis, 'animal' | 'hot' | 'headSplit' | 'deposit'>;
  /** Whose bill it is where several households' meat is cut as one; theirs alone when absent. */
  readonly own?: { readonly share: Pick<Portion, 'id'>; readonly together: readonly Portion[] };
};

export type Evaluation = { readonly forecast: Forecast; readonly bill: Bill };

/** A sheet worked out: what it gives and what it costs. */
export function evaluate(ground: Ground, sheet: Sheet): Evaluation {
  const expected = forecast(ground.situation, sheet, ground.coldSides);
  return { forecast: expected, bill: billOf(ground, sheet, expected) };
}

export type Judged = Evaluation & { readonly findings: readonly Finding[] };

/** A sheet worked out and looked over, for searches that try many: its sides are divided once for both. */
export function judge(ground: Ground, sheet: Sheet): Judged {
  const job = { situation: ground.situation, sheet, coldSides: ground.coldSides };
  const divided = divideSides(job);
  const expected = forecastOf(job, divided);
  return {
    forecast: expected,
    findings: findingsOf(job, expected, divided),
    bill: billOf(ground, sheet, expected),
  };
}

/** How far the bill of a sheet may come out beside its estimate. */
export function billRangeOf(ground: Ground, sheet: Sheet, expected: Forecast): BillRange {
  return billRange(expected, (lines) => billOf(ground, sheet, { ...expected, lines }).total);
}

function billOf({ priceList, bill, own }: Ground, sheet: Sheet, expected: Forecast): Bill {
  const items = itemsOfForecast(expected, sheet.wrap);
  const cold = expected.coldWeight;
  if (!own) return billFor(priceList, { ...bill, cold, items });
  const { share, together } = own;
  return billFor(priceList, {
    ...bill,
    cold: ownOf(cold, share, together) as Weight,
    items: ownItems(items, share, together),
  });
}

function moreOrLess(change: Weight, unit: WeighingUnit, where: string): string {
  if (Math.abs(change) < 5) return '';
  return `${formatWeight(Math.abs(change) as Weight, unit)} ${unit} ${change > 0 ? 'more' : 'less'} ${where}`;
}

/** What taking another way changes, in one sentence with weight and money. */
export function tradeOffSentence(
  now: Evaluation,
  other: Evaluation,
  { unit, sign }: { unit: WeighingUnit; sign: string },
): string {
  const money = (other.bill.total - now.bill.total) as Cents;
  const parts = [
    moreOrLess((other.forecast.takeHome - now.forecast.takeHome) as Weight, unit, 'in the boxes'),
    moreOrLess((other.forecast.pool.grind - now.forecast.pool.grind) as Weight, unit, 'of it grind'),
    money === 0
      ? ''
      : `${formatMoney(Math.abs(money) as Cents, sign)} ${money > 0 ? 'more' : 'less'} on the bill`,
  ].filter((part) => part !== '');
  if (parts.length === 0) return 'the same weight and the same bill';
  return listed(parts);
}
