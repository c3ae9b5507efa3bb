import { sumCents, type Cents } from '../quantity/money';
import { billFor, type Bill, type BillBasis, type BillLine } from './bill';
import { BASIS_GROUPS, BASIS_WORDS, type BasisGroup, type PriceList, type PriceRule } from './priceList';

/** One charge under two lists, on the same order. */
export type ChargeBeside = {
  readonly id: string;
  /** As the second list has it; undefined where it is not charged any more. */
  readonly rule: PriceRule | undefined;
  /** As the first list had it; undefined where it is new. */
  readonly was: PriceRule | undefined;
  readonly line: BillLine | undefined;
  readonly lineWas: BillLine | undefined;
  readonly more: Cents;
};

export type GroupBeside = {
  readonly group: BasisGroup;
  readonly charges: readonly ChargeBeside[];
  /** What the group comes to under the second list and under the first; the farm's part with it. */
  readonly amount: Cents;
  readonly amountWas: Cents;
};

export type BillsBeside = {
  readonly groups: readonly GroupBeside[];
  readonly bill: Bill;
  readonly billWas: Bill;
};

const amountOf = (line: BillLine | undefined): Cents => line?.amount ?? (0 as Cents);

/**
 * Two price lists worked on one order: every charge of either with both amounts, in the groups of what they multiply,
 * in the order of the list. A group stands where the second list has the charge.
 */
export function billsBeside(was: PriceList, now: PriceList, basis: BillBasis): BillsBeside {
  const [bill, billWas] = [billFor(now, basis), billFor(was, basis)];
  const linesOf = ({ lines, farm }: Bill) => new Map([...lines, ...farm].map((line) => [line.rule, line]));
  const [lines, linesWas] = [linesOf(bill), linesOf(billWas)];
  const gone = was.rules.filter((rule) => !now.rules.some(({ id }) => id === rule.id));
  const charges = [...now.rules, ...gone].map((rule): ChargeBeside => {
    const { id } = rule;
    const [line, lineWas] = [lines.get(id), linesWas.get(id)];
    return {
      id,
      rule: now.rules.find((each) => each.id === id),
      was: was.rules.find((each) => each.id === id),
      line,
      lineWas,
      more: (amountOf(line) - amountOf(lineWas)) as Cents,
    };
  });
  const groupOf = ({ rule, was: before }: ChargeBeside) => BASIS_WORDS[(rule ?? before!).basis].group;
  const groups = BASIS_GROUPS.map((group): GroupBeside => {
    const own = charges.filter((charge) => groupOf(charge) === group);
    return {
      group,
      charges: own,
      amount: sumCents(own.map(({ line }) => amountOf(line))),
      amountWas: sumCents(own.map(({ lineWas }) => amountOf(lineWas))),
    };
  });
  return { groups, bill, billWas };
}
