import type { Forecast, ForecastLine } from '../forecast/types';
import { counted } from '../quantity/counted';
import {
  cents,
  chargeForRate,
  chargeForWeight,
  formatMoney,
  splitCents,
  sumCents,
  ZERO_CENTS,
  type Cents,
} from '../quantity/money';
import { formatWeight, inUnits, sumWeights, type Weight } from '../quantity/weight';
import type { Wrap } from '../sheet/types';
import type { Working } from '../working/working';
import { recipeKey } from './keys';
import { rateWords, type Basis, type Payer, type PriceList, type PriceRule } from './priceList';

/** One kind of package, as far as charges are concerned. */
export type BillItem = {
  readonly cut: string;
  /** Keys of the charges it raises. */
  readonly charges: readonly string[];
  readonly green: Weight;
  readonly finished: Weight;
  readonly packages: number;
  readonly pieces: number;
  /** Racks, one to a side, that it is cut of. */
  readonly racks: number;
};

/** What a share is billed on; the estimate fills it from the forecast, the final bill from the ledger. */
export type BillBasis = {
  /** The animal that the share is a part of. */
  readonly animal: {
    /** Id of its species. */
    readonly species: string;
    /** Of all its sides: what tiers go by. */
    readonly hot: Weight;
  };
  readonly hot: Weight;
  readonly cold: Weight;
  /** The shares of the animal in order, as parts of it, and which of them this is. */
  readonly headSplit: {
    readonly parts: readonly number[];
    readonly index: number;
    /** How many of the parts have a cut sheet; all of them when absent. */
    readonly sheets?: number;
  };
  readonly items: readonly BillItem[];
  readonly deposit: Cents;
};

export type BillLine = {
  readonly rule: string;
  readonly label: string;
  readonly basis: Basis | 'minimum' | 'tax' | 'rounding' | 'deposit';
  /** What was multiplied, as it is printed: `92.50 lb hot`, `10 packages`. */
  readonly quantity: string;
  readonly amount: Cents;
  readonly working: Working;
};

/** Lines of a bill that are no charges of its list and stand under them. */
export const FOOT_LINES: ReadonlySet<string> = new Set(['minimum', 'tax', 'rounding']);

export type Bill = {
  readonly priceList: string;
  readonly lines: readonly BillLine[];
  /** What the farm pays of this share: on its own bill, and in no sum here. */
  readonly farm: readonly BillLine[];
  readonly subtotal: Cents;
  readonly total: Cents;
  readonly due: Cents;
};

/** What charges can hang on for a line: its work, its wrap, the very item, and the recipe in whatever form. */
export function keysOfLine({ charges, item }: Pick<ForecastLine, 'charges' | 'item'>, wrap: Wrap): string[] {
  return [...charges, wrap, item, ...(item.startsWith('grind/') ? [recipeKey(item)] : [])];
}

/** The lines of a forecast as a bill takes them. */
export function itemsOfForecast(expected: Pick<Forecast, 'lines'>, wrap: Wrap): BillItem[] {
  return expected.lines.map((line) => ({
    cut: line.cut,
    charges: keysOfLine(line, wrap),
    green: (line.packaged + line.cureLoss) as Weight,
    finished: line.packaged,
    packages: line.packs,
    pieces: line.pieces ?? line.packs,
    racks: line.sides,
  }));
}

/**
 * The bill of a share: each rule of the price list that its species pays, on its stated basis and at the rate of its
 * animal's weight, rounded half up to the cent by line. What the farm pays stands apart. Then a top-up to the minimum, tax on the taxable lines, what the total is rounded by, the deposit last. The total may be negative (a credit).
 */
export function billFor(list: PriceList, basis: BillBasis): Bill {
  const rules = rulesFor(list, basis);
  const raisedBy = itemsByKey(basis.items);
  const linesOf = (payer: Payer) => {
    const paid = rules.filter((rule) => (rule.payer ?? 'eater') === payer);
    const lineOf = (order: Cents) => (rule: PriceRule) =>
      chargeLine(list, rule, { basis, order, items: itemsFor(rule, basis.items, raisedBy) });
    // Percentages are of everything else that is charged.
    const others = paid.filter((rule) => rule.basis !== 'percent').flatMap(lineOf(ZERO_CENTS));
    return paid.flatMap(lineOf(sumCents(others.map((line) => line.amount))));
  };
  const charged = linesOf('eater');
  const subtotal = sumCents(charged.map((line) => line.amount));
  const topUp = minimumLine(list, subtotal);
  const taxed = taxLine(list, charged);
  const exact = [...charged, ...topUp, ...taxed];
  const lines = [...exact, ...roundingLine(list, sumCents(exact.map((line) => line.amount)))];
  const total = sumCents(lines.map((line) => line.amount));
  const paid = depositLine(list, basis.deposit);
  return {
    priceList: list.id,
    lines: [...lines, ...paid],
    farm: linesOf('farm'),
    subtotal,
    total,
    due: sumCents([total, ...paid.map((line) => line.amount)]),
  };
}

/** The rules that an animal of this species pays, each at the rate of its weight. */
function rulesFor(list: PriceList, { animal }: BillBasis): PriceRule[] {
  return list.rules
    .filter((rule) => rule.species?.includes(animal.species) ?? true)
    .map((rule) => {
      const tier = rule.tiers?.findLast(({ above }) => inUnits(animal.hot) > above);
      return tier ? { ...rule, rateCents: tier.rateCents } : rule;
    });
}

type Charged = { readonly quantity: string; readonly amount: Cents; readonly formula: string };

/** The items that raise each charge. */
function itemsByKey(items: readonly BillItem[]): ReadonlyMap<string, readonly BillItem[]> {
  const byKey = new Map<string, BillItem[]>();
  for (const item of items) {
    for (const key of new Set(item.charges)) {
      const own = byKey.get(key);
      if (own) own.push(item);
      else byKey.set(key, [item]);
    }
  }
  return byKey;
}

function itemsFor(
  { key }: PriceRule,
  all: readonly BillItem[],
  byKey: ReadonlyMap<string, readonly BillItem[]>,
): readonly BillItem[] {
  return key === undefined ? all : (byKey.get(key) ?? []);
}

/** What a charge is worked out on: the share, the items that raise it, and all other charges of whoever pays it. */
type ChargeGround = { readonly basis: BillBasis; readonly items: readonly BillItem[]; readonly order: Cents };

function chargeLine(list: PriceList, rule: PriceRule, ground: ChargeGround): BillLine[] {
  const { items } = ground;
  if (rule.key !== undefined && items.length === 0) return [];
  const charged = chargeOn(list, rule, ground);
  if (charged.amount === 0) return [];
  return [
    {
      rule: rule.id,
      label: rule.label,
      basis: rule.basis,
      quantity: charged.quantity,
      amount: charged.amount,
      working: ruleWorking(list, rule, { charged, items }),
    },
  ];
}

function chargeOn(list: PriceList, rule: PriceRule, { basis, items, order }: ChargeGround): Charged {
  const rate = rule.rateCents;
  const { parts, index, sheets = parts.length } = basis.headSplit;
  const byWeight = (w: Weight, word: string): Charged => ({
    quantity: `${formatWeight(w, list.unit)} ${list.unit} ${word}`,
    amount: chargeForWeight(w, rate),
    formula: `weight × rate, half a cent up`,
  });
  const byCount = (count: number, word: string): Charged => ({
    quantity: counted(count, word),
    amount: cents(count * rate),
    formula: 'number × rate',
  });
  switch (rule.basis) {
    case 'head':
      return {
        quantity: parts.length === 1 ? '1 head' : `1 head, share ${index + 1} of ${parts.length}`,
        amount: splitCents(rate, parts)[index]!,
        formula: 'one charge for the animal, split by share so that the parts add up to the cent',
      };
    case 'extra-sheet':
      return {
        quantity: `${counted(sheets - 1, 'sheet')} after the first, share ${index + 1} of ${parts.length}`,
        amount: sheets > 1 ? splitCents(cents(rate * (sheets - 1)), parts)[index]! : ZERO_CENTS,
        formula: 'one charge for each cut sheet after the first, split by share',
      };
    case 'hot':
      return byWeight(basis.hot, 'hot');
    case 'cold':
      return byWeight(basis.cold, 'cold');
    case 'green':
      return byWeight(sumWeights(items.map((item) => item.green)), 'green');
    case 'packaged':
      return byWeight(sumWeights(items.map((item) => item.finished)), 'packaged');
    case 'finished':
      return byWeight(sumWeights(items.map((item) => item.finished)), 'finished');
    case 'package':
      return byCount(total(items.map((item) => item.packages)), 'package');
    case 'piece':
      return byCount(total(items.map((item) => item.pieces)), 'piece');
    case 'rack':
      return byCount(total(items.map((item) => item.racks)), 'rack');
    case 'flat':
      return { quantity: '1', amount: rate, formula: 'a flat charge' };
    case 'percent':
      return {
        quantity: `${rate / 100} % of ${formatMoney(order, list.sign)}`,
        amount: chargeForRate(order, rate),
        formula: 'a part of all other charges, half a cent up',
      };
  }
}

function total(counts: readonly number[]): number {
  return counts.reduce((sum, count) => sum + count, 0);
}

function ruleWorking(
  list: PriceList,
  rule: PriceRule,
  { charged, items }: { charged: Charged; items: readonly BillItem[] },
): Working {
  return {
    title: rule.label,
    formula: charged.formula,
    inputs: [
      { label: 'rate', value: rateWords(rule, list.sign) },
      { label: 'on', value: charged.quantity },
      ...(rule.key === undefined || items.length > 12
        ? []
        : items.map((item) => ({
            label: item.cut,
            value: `${formatWeight(rule.basis === 'green' ? item.green : item.finished, list.unit)} ${list.unit}, ${counted(item.packages, 'pack')}`,
          }))),
      { label: 'comes to', value: formatMoney(charged.amount, list.sign) },
    ],
    source: `${list.name}, in force from ${list.effectiveFrom}.`,
  };
}

function plainLine(
  list: PriceList,
  line: Pick<BillLine, 'rule' | 'label' | 'basis' | 'quantity' | 'amount'>,
  formula: string,
): BillLine {
  return {
    ...line,
    working: {
      title: line.label,
      formula,
      inputs: [
        { label: 'on', value: line.quantity },
        { label: 'comes to', value: formatMoney(line.amount, list.sign) },
      ],
      source: `${list.name}, in force from ${list.effectiveFrom}.`,
    },
  };
}

function minimumLine(list: PriceList, subtotal: Cents): BillLine[] {
  const amount = cents(Math.max(0, list.minimumCents - subtotal));
  if (amount === 0) return [];
  const quantity = `to ${formatMoney(list.minimumCents, list.sign)}`;
  const line = { rule: 'minimum', label: 'Minimum order', basis: 'minimum', quantity, amount } as const;
  return [plainLine(list, line, 'What is missing to the smallest order we can cut for.')];
}

function taxLine(list: PriceList, charged: readonly BillLine[]): BillLine[] {
  const taxableRules = new Set(list.rules.filter((rule) => rule.taxable).map((rule) => rule.id));
  const taxable = sumCents(charged.filter((line) => taxableRules.has(line.rule)).map((line) => line.amount));
  const amount = chargeForRate(taxable, list.taxBp);
  if (amount === 0) return [];
  const quantity = `${list.taxBp / 100} % of ${formatMoney(taxable, list.sign)}`;
  const line = { rule: 'tax', label: 'Tax', basis: 'tax', quantity, amount } as const;
  return [plainLine(list, line, 'On the taxable lines only, half a cent up.')];
}

function roundingLine(list: PriceList, total: Cents): BillLine[] {
  const step = list.roundCents ?? 1;
  const amount = cents(step * Math.floor((2 * total + step) / (2 * step)) - total);
  if (amount === 0) return [];
  const quantity = `to ${formatMoney(cents(step), list.sign)}`;
  const line = { rule: 'rounding', label: 'Rounding', basis: 'rounding', quantity, amount } as const;
  return [plainLine(list, line, 'What the total is rounded by, half up.')];
}

function depositLine(list: PriceList, deposit: Cents): BillLine[] {
  if (deposit === 0) return [];
  const line = {
    rule: 'deposit',
    label: 'Deposit',
    basis: 'deposit',
    quantity: 'paid at booking',
    amount: cents(-deposit),
  } as const;
  return [plainLine(list, line, 'Taken off the total, after tax.')];
}

/** One line of the comparison: what was estimated, what it came to, and why they differ. */
export type BillDifference = {
  readonly label: string;
  readonly estimated: Cents;
  readonly final: Cents;
  readonly sentence: string;
};

/** Line by line, where the final bill left the estimate. Lines that agree to the cent are left out. */
export function differences(estimate: Bill, final: Bill): BillDifference[] {
  const rules = new Set([...estimate.lines, ...final.lines].map((line) => line.rule));
  return [...rules].flatMap((rule) => {
    const before = estimate.lines.find((line) => line.rule === rule);
    const after = final.lines.find((line) => line.rule === rule);
    if ((before?.amount ?? 0) === (after?.amount ?? 0)) return [];
    const sentence = !before
      ? `Not foreseen: ${after!.quantity}.`
      : !after
        ? `Foreseen on ${before.quantity}; it was not needed.`
        : `Estimated on ${before.quantity}; it came to ${after.quantity}.`;
    return [
      {
        label: (after ?? before)!.label,
        estimated: before?.amount ?? ZERO_CENTS,
        final: after?.amount ?? ZERO_CENTS,
        sentence,
      },
    ];
  });
}
