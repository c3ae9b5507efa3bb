import { ACCOUNT_KINDS, type Posting } from '../ledger/ledger';
import { failure, success, type Result } from '../quantity/result';
import { formatWeight, inUnits, weight, type WeighingUnit, type Weight } from '../quantity/weight';
import { numberField, readCsv, writeCsv } from './csv';

/** A posting with the transaction it belongs to. */
export type LedgerRow = Posting & {
  readonly transaction: string;
  readonly at: string;
  readonly reason: string;
};

const columns = (unit: WeighingUnit) => ['transaction', 'at', 'reason', 'account', 'owner', `weight_${unit}`];

/** Postings as CSV, one a row; weights with a sign and three decimals, their unit in the name of the column. */
export function writeLedger(rows: readonly LedgerRow[], unit: WeighingUnit): string {
  return writeCsv(
    columns(unit),
    rows.map((row) => ({
      transaction: row.transaction,
      at: row.at,
      reason: row.reason,
      account: row.kind,
      owner: row.owner,
      [`weight_${unit}`]: formatWeight(row.weight, 3),
    })),
  );
}

/**
 * Reads postings and checks that every transaction adds up to zero.
 *
 * @returns the postings with the unit they are in, or the first thing that is wrong
 */
export function readLedger(text: string): Result<{ rows: LedgerRow[]; unit: WeighingUnit }, 'invalid'> {
  const unit: WeighingUnit = text.split('\n', 1)[0]!.includes('weight_kg') ? 'kg' : 'lb';
  const table = readCsv(text, columns(unit));
  if (!table.ok) return table;
  const rows: LedgerRow[] = [];
  for (const [at, row] of table.value.entries()) {
    const moved = numberField(row, `weight_${unit}`, at);
    if (!moved.ok) return moved;
    const kind = ACCOUNT_KINDS.find((each) => each === row.account);
    if (!kind) return failure('invalid', `There is no account "${row.account}".`, `row ${at + 2}, account`);
    const { transaction, reason, owner } = row as Record<'transaction' | 'reason' | 'owner', string>;
    rows.push({ transaction, at: row.at!, reason, kind, owner, weight: weight(moved.value) });
  }
  const gap = firstGap(rows);
  if (gap) {
    const message = `Transaction ${gap.transaction} is off by ${inUnits(gap.weight)} ${unit}: it must add up to zero.`;
    return failure('invalid', message, 'transaction');
  }
  return success({ rows, unit });
}

function firstGap(rows: readonly LedgerRow[]): { transaction: string; weight: Weight } | undefined {
  const sums = new Map<string, number>();
  for (const row of rows) sums.set(row.transaction, (sums.get(row.transaction) ?? 0) + row.weight);
  const off = [...sums].find(([, sum]) => sum !== 0);
  return off && { transaction: off[0], weight: off[1] as Weight };
}
