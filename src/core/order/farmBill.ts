import { billFor, type BillLine } from '../charges/bill';
import { sumCents, ZERO_CENTS, type Cents } from '../quantity/money';
import type { Weight } from '../quantity/weight';
import { unsoldFraction } from '../shares/own';
import { finalBill } from './settling';
import type { ShareFile } from './shareFile';
import { billBasis, estimateOf } from './standing';

/** One charge of a farm's bill. */
export type FarmLine = { readonly label: string; readonly quantity: string; readonly amount: Cents };

/** What the farm pays of one animal. */
export type FarmBill = { readonly lines: readonly FarmLine[]; readonly total: Cents };

/** What of an animal is charged whether it is cut or not. */
const OF_THE_HEAD: readonly BillLine['basis'][] = ['head', 'extra-sheet'];

/**
 * What a farm pays of its animal: its own charges of every share that is sold, as estimated, as packed or as billed, and
 * the head charges of what nobody has bought yet. Nothing of a share that was called off.
 *
 * @param shares - the shares of one animal
 */
export function farmBill(shares: readonly ShareFile[]): FarmBill {
  const live = shares.filter((file) => !file.cancellation);
  const sold = live.flatMap((file) => billOf(file).farm.map((line) => lineOf(line, file.share.owner.name)));
  const lines = [...sold, ...unsoldLines(live[0])];
  return { lines, total: sumCents(lines.map(({ amount }) => amount)) };
}

function billOf(file: ShareFile) {
  return file.closing?.bill ?? (file.start ? finalBill(file) : estimateOf(file));
}

function lineOf({ label, quantity, amount }: BillLine, of: string): FarmLine {
  return { label: `${label}, ${of}`, quantity, amount };
}

/** The head charges of what is the farm's still, whoever pays them of what is sold. */
function unsoldLines(file: ShareFile | undefined): FarmLine[] {
  if (!file || unsoldFraction(file.siblings) <= 0) return [];
  const basis = billBasis(file, 0 as Weight, []);
  const { parts } = basis.headSplit;
  const bill = billFor(file.priceList, {
    ...basis,
    hot: 0 as Weight,
    headSplit: { ...basis.headSplit, index: parts.length - 1 },
    deposit: ZERO_CENTS,
  });
  return [...bill.lines, ...bill.farm]
    .filter((line) => OF_THE_HEAD.includes(line.basis))
    .map((line) => lineOf(line, 'not sold'));
}
