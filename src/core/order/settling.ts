import { billFor, keysOfLine, type Bill, type BillBasis, type BillItem } from '../charges/bill';
import { ownItems } from '../charges/ownItems';
import { growthOf, meatOf } from '../grindroom/batch';
import type { PackSource } from '../ledger/ledger';
import { sumCents, ZERO_CENTS, type Cents } from '../quantity/money';
import { sumWeights, type Weight } from '../quantity/weight';
import { reconcile, type Reconciliation, type Weighed } from '../reconcile/reconcile';
import { ownOf } from '../shares/own';
import type { ShareFile } from './shareFile';
import { billBasis, coldWeight, isPacked, planOf } from './standing';
import type { Weighing } from './work';

/** What the share costs by what was really weighed, line by line of its plan. */
export function finalBill(file: ShareFile): Bill {
  return billFor(file.priceList, finalBasis(file));
}

/** What a share is billed on by what was really weighed. */
export function finalBasis(file: ShareFile): BillBasis {
  const { expected, wrap } = planOf(file);
  const items = expected.lines.flatMap((line): BillItem[] => {
    const mine = file.weighings.filter((each) => each.lineKey === line.key);
    const packs = mine.filter((each) => each.kind === 'package' && isOwn(file, each));
    if (packs.length === 0) return [];
    const all = sumWeights(mine.filter((each) => each.kind === 'package').map((each) => each.net));
    const batch = file.batches.find((each) => each.batch.lineKey === line.key);
    // What was mixed is charged green by its meat: seasoning and water are none of it.
    const green = batch
      ? meatOf(batch.events)
      : sumWeights(mine.filter((each) => each.kind === 'green').map((each) => each.net));
    const finished = sumWeights(packs.map((each) => each.net));
    return [
      {
        cut: line.cut,
        charges: keysOfLine(line, wrap),
        // What went into a cure is each household's as its finished packs are.
        green: green > 0 ? (Math.round((green * finished) / all) as Weight) : finished,
        finished,
        packages: packs.length,
        pieces: packs.reduce((sum, each) => sum + (each.pieces ?? 1), 0),
        racks: file.allotted ? ownOf(line.sides, file.share, file.together) : line.sides,
      },
    ];
  });
  const own = file.allotted ? items : ownItems(items, file.share, file.together);
  return billBasis(file, expected.coldWeight, own);
}

/** Whether a package is this household's, as far as packages are shared out already. */
export function isOwn({ allotted }: Pick<ShareFile, 'allotted'>, { id }: Pick<Weighing, 'id'>): boolean {
  return allotted?.has(id) ?? true;
}

/** Where the weight of the share went, and how its packs compare with its plan. */
export function reconciliationOf(file: ShareFile): Reconciliation {
  const { expected, lineTolerance, rules } = planOf(file);
  return reconcile({
    cold: coldWeight(file),
    expected,
    postings: file.held,
    weighed: weighedOf(file),
    packed: isPacked(file),
    lineTolerance,
    grown: new Map(file.batches.map(({ batch, events }) => [batch.lineKey, growthOf(events)])),
    limits: rules.unaccounted,
    unit: file.shop.unit,
  });
}

/** Packages and green weights of a share as its balance sees them. */
export function weighedOf({ weighings }: Pick<ShareFile, 'weighings'>): Weighed[] {
  return weighings
    .filter((each) => each.kind === 'package' || each.kind === 'green')
    .map((each) => ({
      kind: each.kind as 'package' | 'green',
      lineKey: each.lineKey,
      cut: each.cut,
      destination: each.destination,
      net: each.net,
      pieces: each.pieces,
      from: each.source as PackSource,
    }));
}

export function paidOf({ payments }: Pick<ShareFile, 'payments'>): Cents {
  return sumCents(payments.map((payment) => payment.amount));
}

/** What is still to pay of the final bill; below zero when money is to go back. */
export function dueOf({ closing, payments }: Pick<ShareFile, 'closing' | 'payments'>): Cents {
  return closing ? ((closing.bill.due - paidOf({ payments })) as Cents) : ZERO_CENTS;
}
