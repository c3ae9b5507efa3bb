import { BASES, PAYERS, type PriceList, type PriceRule, type Tier } from '../charges/priceList';
import { priceListSchema } from '../charges/priceListSchema';
import { failure, success, type Result } from '../quantity/result';
import { cents } from '../quantity/money';
import { checkShape } from '../shape/checkShape';
import { numberField, readCsv, writeCsv, type Row } from './csv';

const HEAD = ['list', 'name', 'effective_from', 'unit', 'currency', 'sign', 'minimum_cents', 'tax_bp'];
const RULE = ['rule', 'label', 'basis', 'rate_cents', 'key', 'taxable'];
/** Columns that a list may be without. Species are parted by blanks, tiers too, each `above:cents`. */
const MORE = ['species', 'tiers', 'payer'];
/** A column of the whole list that it may be without. */
const ROUND = 'round_cents';

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
    [ROUND]: list.roundCents === undefined ? '' : String(list.roundCents),
  };
  return writeCsv(
    [...HEAD, ...RULE, ...MORE, ROUND],
    list.rules.map((rule) => ({
      ...head,
      rule: rule.id,
      label: rule.label,
      basis: rule.basis,
      rate_cents: String(rule.rateCents),
      key: rule.key ?? '',
      taxable: rule.taxable === undefined ? '' : rule.taxable ? 'yes' : 'no',
      species: rule.species?.join(' ') ?? '',
      tiers: rule.tiers?.map(({ above, rateCents }) => `${above}:${rateCents}`).join(' ') ?? '',
      payer: rule.payer ?? '',
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
    const other = [...HEAD, ROUND].find((column) => row[column] !== first[column]);
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
    ...(first[ROUND] ? { roundCents: Number(first[ROUND]) } : {}),
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
  const payer = PAYERS.find((each) => each === row.payer);
  if (row.payer && !payer) {
    return failure('invalid', `"${row.payer}" is none of ${PAYERS.join(', ')}.`, `row ${at + 2}, payer`);
  }
  const tiers = tiersOf(row.tiers ?? '', at);
  if (!tiers.ok) return tiers;
  const rule: PriceRule = {
    id: row.rule!,
    label: row.label!,
    basis,
    rateCents: cents(rate.value),
    ...(row.key ? { key: row.key } : {}),
    ...(taxable === 'unsaid' ? {} : { taxable: taxable === 'yes' }),
    ...(tiers.value.length > 0 ? { tiers: tiers.value } : {}),
    ...(row.species ? { species: wordsOf(row.species) } : {}),
    ...(payer ? { payer } : {}),
  };
  return success(rule);
}

const wordsOf = (text: string) => text.split(/\s+/).filter((word) => word !== '');

const TIER = /^(\d+(?:\.\d+)?):(\d+)$/;

function tiersOf(text: string, at: number): Result<Tier[], 'invalid'> {
  const tiers: Tier[] = [];
  for (const word of wordsOf(text)) {
    const [, above, rate] = TIER.exec(word) ?? [];
    if (above === undefined || rate === undefined) {
      const message = `"${word}" is no tier: 250:9800 is 98.00 for an animal above 250.`;
      return failure('invalid', message, `row ${at + 2}, tiers`);
    }
    tiers.push({ above: Number(above), rateCents: cents(Number(rate)) });
  }
  return success(tiers);
}
