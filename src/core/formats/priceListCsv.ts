import { BASES, type PriceList, type PriceRule } from '../charges/priceList';
import { priceListSchema } from '../charges/priceListSchema';
import { failure, success, type Result } from '../quantity/result';
import { cents } from '../quantity/money';
import { checkShape } from '../shape/checkShape';
import { numberField, readCsv, writeCsv, type Row } from './csv';

const HEAD = ['list', 'name', 'effective_from', 'unit', 'currency', 'sign', 'minimum_cents', 'tax_bp'];
const RULE = ['rule', 'label', 'basis', 'rate_cents', 'key', 'taxable'];

/** What people and spreadsheets write for yes and no. */
const TAXABLE = new Map<string, 'yes' | 'no' | 'unsaid'>([
  ['', 'unsaid'],
  ...['yes', 'true', '1', 'y'].map((word): [string, 'yes'] => [word, 'yes']),
  ...['no', 'false', '0', 'n'].map((word): [string, 'no'] => [word, 'no']),
]);

/** A price list as CSV: a row for each rule, what holds for the whole list on every row. Money in cents. */
export function writePriceListCsv(list: PriceList): string {
  const head = {
    list: list.id,
    name: list.name,
    effective_from: list.effectiveFrom,
    unit: list.unit,
    currency: list.currency,
    sign: list.sign,
    minimum_cents: String(list.minimumCents),
    tax_bp: String(list.taxBp),
  };
  return writeCsv(
    [...HEAD, ...RULE],
    list.rules.map((rule) => ({
      ...head,
      rule: rule.id,
      label: rule.label,
      basis: rule.basis,
      rate_cents: String(rule.rateCents),
      key: rule.key ?? '',
      taxable: rule.taxable === undefined ? '' : rule.taxable ? 'yes' : 'no',
    })),
  );
}

/** Reads a price list and checks it as its JSON is checked. @returns the list, or the first thing that is wrong */
export function readPriceListCsv(text: string): Result<PriceList, 'invalid'> {
  const table = readCsv(text, [...HEAD, ...RULE]);
  if (!table.ok) return table;
  const [first] = table.value;
  if (!first) return failure('invalid', 'There is no rule in it.', 'row 2');
  const rules: PriceRule[] = [];
  for (const [at, row] of table.value.entries()) {
    const other = HEAD.find((column) => row[column] !== first[column]);
    if (other) {
      const message = `The list says ${row[other]} here and ${first[other]} in row 2.`;
      return failure('invalid', message, `row ${at + 2}, ${other}`);
    }
    const rule = ruleOf(row, at);
    if (!rule.ok) return rule;
    rules.push(rule.value);
  }
  return checkShape<PriceList>(priceListSchema, {
    id: first.list,
    name: first.name,
    effectiveFrom: first.effective_from,
    unit: first.unit,
    currency: first.currency,
    sign: first.sign,
    minimumCents: Number(first.minimum_cents),
    taxBp: Number(first.tax_bp),
    rules,
  });
}

function ruleOf(row: Row, at: number): Result<PriceRule, 'invalid'> {
  const rate = numberField(row, 'rate_cents', at);
  if (!rate.ok) return rate;
  if (!Number.isInteger(rate.value)) {
    const message = `A rate is in whole cents: 98 for 0.98, not ${row.rate_cents}.`;
    return failure('invalid', message, `row ${at + 2}, rate_cents`);
  }
  const taxable = TAXABLE.get((row.taxable ?? '').trim().toLowerCase());
  if (taxable === undefined) {
    return failure('invalid', `"${row.taxable}" is neither yes nor no.`, `row ${at + 2}, taxable`);
  }
  const basis = BASES.find((each) => each === row.basis);
  if (!basis)
    return failure('invalid', `"${row.basis}" is none of ${BASES.join(', ')}.`, `row ${at + 2}, basis`);
  const rule: PriceRule = {
    id: row.rule!,
    label: row.label!,
    basis,
    rateCents: cents(rate.value),
    ...(row.key ? { key: row.key } : {}),
    ...(taxable === 'unsaid' ? {} : { taxable: taxable === 'yes' }),
  };
  return success(rule);
}
