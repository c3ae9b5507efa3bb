import { billFor, keysOfLine, type Bill, type BillItem } from '../charges/bill';
import { sumCents, ZERO_CENTS, type Cents } from '../quantity/money';
import { sumWeights } from '../quantity/weight';
import { reconcile, type Reconciliation } from '../reconcile/reconcile';
import type { ShareFile } from './shareFile';
import { billBasis, coldWeight, isPacked, planOf } from './standing';

/** What the share costs by what was really weighed, line by line of its plan. */
export function finalBill(file: ShareFile): Bill {
  const { expected, wrap } = planOf(file);
  const items = expected.lines.flatMap((line): BillItem[] => {
    const mine = file.weighings.filter((each) => each.lineKey === line.key);
    const packs = mine.filter((each) => each.kind === 'package');
    if (packs.length === 0) return [];
    const green = mine.filter((each) => each.kind === 'green').map((each) => each.net);
    const finished = sumWeights(packs.map((each) => each.net));
    return [
      {
        cut: line.cut,
        charges: keysOfLine(line, wrap),
        green: green.length > 0 ? sumWeights(green) : finished,
        finished,
        packages: packs.length,
        pieces: packs.reduce((sum, each) => sum + (each.pieces ?? 1), 0),
        racks: line.sides,
      },
    ];
  });
  return billFor(file.priceList, billBasis(file, expected.coldWeight, items));
}

/** Where the weight of the share went, and how its packs compare with its plan. */
export function reconciliationOf(file: ShareFile): Reconciliation {
  const { expected, lineTolerance, rules } = planOf(file);
  return reconcile({
    cold: coldWeight(file),
    expected,
    postings: file.held,
    weighed: file.weighings
      .filter((each) => each.kind === 'package' || each.kind === 'green')
      .map((each) => ({
        kind: each.kind as 'package' | 'green',
        lineKey: each.lineKey,
        cut: each.cut,
        destination: each.destination,
        net: each.net,
        pieces: each.pieces,
        from: each.source as 'share' | 'tub' | 'cure',
      })),
    packed: isPacked(file),
    lineTolerance,
    limits: rules.unaccounted,
    unit: file.shop.unit,
  });
}

export function paidOf({ payments }: Pick<ShareFile, 'payments'>): Cents {
  return sumCents(payments.map((payment) => payment.amount));
}

/** What is still to pay of the final bill; below zero when money is to go back. */
export function dueOf({ closing, payments }: Pick<ShareFile, 'closing' | 'payments'>): Cents {
  return closing ? ((closing.bill.due - paidOf({ payments })) as Cents) : ZERO_CENTS;
}
