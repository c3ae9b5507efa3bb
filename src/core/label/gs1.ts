import { failure, success, type Result } from '../quantity/result';
import { formatWeight, weight, type Weight, type WeighingUnit } from '../quantity/weight';

/** Separates a variable-length field from the next, as scanners send it. */
export const GROUP_SEPARATOR = '\u001d';

/** What the bars of a package carry. */
export type PackageCode = {
  /** 14 digits; the first is 9: a trade item of variable weight. */
  readonly tradeItem: string;
  readonly net: Weight;
  readonly unit: WeighingUnit;
  readonly lot: string;
  readonly serial: string;
};

/**
 * The check digit of the open GS1 scheme: weights 3, 1, 3, 1 from the left of 13 digits.
 *
 * @param digits - 13 digits
 * @throws RangeError when they are not 13 digits
 * @example checkDigit('9061414112345') // => 5
 */
export function checkDigit(digits: string): number {
  if (!/^\d{13}$/.test(digits)) throw new RangeError(`"digits" expected 13 digits, got ${digits}`);
  const sum = [...digits].reduce((total, digit, i) => total + Number(digit) * (i % 2 === 0 ? 3 : 1), 0);
  return (10 - (sum % 10)) % 10;
}

/**
 * A variable-weight trade item number: 9, the shop's prefix, the item, the check digit.
 *
 * @param prefix - the company prefix, or the in-house range of a shop without one; digits
 * @param item - the shop's number for the cut
 * @throws RangeError when the item does not fit behind the prefix
 */
export function tradeItem(prefix: string, item: number): string {
  const room = 12 - prefix.length;
  const number = String(item).padStart(room, '0');
  if (number.length > room) throw new RangeError(`"item" expected at most ${room} digits, got ${item}`);
  const body = `9${prefix}${number}`;
  return `${body}${checkDigit(body)}`;
}

/** Decimals of the weight in the bars: hundredths of a pound, thousandths of a kilogram. */
const WEIGHT_FIELDS = { lb: { ai: '3202', decimals: 2 }, kg: { ai: '3103', decimals: 3 } } as const;

/** The weight field's digits: six, without a point. */
function weightDigits(code: PackageCode): string {
  return formatWeight(code.net, WEIGHT_FIELDS[code.unit].decimals).replace('.', '').padStart(6, '0');
}

/** The code as it is printed under the bars, with the application identifiers in brackets. */
export function humanReadable(code: PackageCode): string {
  const { ai } = WEIGHT_FIELDS[code.unit];
  return `(01)${code.tradeItem}(${ai})${weightDigits(code)}(10)${code.lot}(21)${code.serial}`;
}

/** The code as a scanner sends it. */
export function elementString(code: PackageCode): string {
  const { ai } = WEIGHT_FIELDS[code.unit];
  return `01${code.tradeItem}${ai}${weightDigits(code)}10${code.lot}${GROUP_SEPARATOR}21${code.serial}`;
}

/** The trade item of what a scanner sends, be it a pack's code or that of a cut alone; undefined where it is neither. */
export function tradeItemOf(scanned: string): string | undefined {
  const item = /^01(\d{14})/.exec(scanned)?.[1];
  return item !== undefined && checkDigit(item.slice(0, 13)) === Number(item[13]) ? item : undefined;
}

/** Reads what a scanner sends back into its fields. */
export function parseElementString(scanned: string): Result<PackageCode, 'not-a-package-code'> {
  // Some scanners leave the separator out; our serials then end what is left.
  const match =
    /^01(\d{14})(3202|3103)(\d{6})10([^\u001d]{1,20})\u001d21(.{1,20})$/.exec(scanned) ??
    /^01(\d{14})(3202|3103)(\d{6})10([^\u001d]{1,20})21(\d{6})$/.exec(scanned);
  if (!match || checkDigit(match[1]!.slice(0, 13)) !== Number(match[1]![13])) {
    return failure(
      'not-a-package-code',
      'That is not the code of one of our packs. Scan the bars on the label.',
    );
  }
  const unit = match[2] === '3202' ? 'lb' : 'kg';
  const net = weight(Number(match[3]) / 10 ** WEIGHT_FIELDS[unit].decimals);
  return success({ tradeItem: match[1]!, net, unit, lot: match[4]!, serial: match[5]! });
}
