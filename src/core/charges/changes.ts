import { failure, success, type Result } from '../quantity/result';
import { formatMoney, type Cents } from '../quantity/money';
import { checkShape } from '../shape/checkShape';
import { rateWords, type PriceList, type PriceRule } from './priceList';
import { priceListSchema } from './priceListSchema';

/** One change of a price list in hand. */
export type PriceChange =
  /** Another rate of one charge. */
  | { readonly kind: 'rate'; readonly rule: string; readonly rateCents: number }
  /** A new charge, or another wording, basis or ground of one that is there. */
  | { readonly kind: 'charge'; readonly charge: PriceRule }
  | { readonly kind: 'without'; readonly rule: string }
  /** What holds for the whole list. */
  | {
      readonly kind: 'whole';
      readonly whole: Partial<
        Pick<PriceList, 'name' | 'effectiveFrom' | 'minimumCents' | 'taxBp' | 'roundCents'>
      >;
    }
  /** Everything from a file. */
  | { readonly kind: 'file'; readonly list: PriceList };

/** A list with a change made; of a charge that is not there any more nothing is changed. */
export function withChange(list: PriceList, change: PriceChange): PriceList {
  switch (change.kind) {
    case 'rate':
      return withRules(list, (rule) =>
        rule.id === change.rule ? { ...rule, rateCents: change.rateCents as PriceRule['rateCents'] } : rule,
      );
    case 'charge': {
      const isThere = list.rules.some((rule) => rule.id === change.charge.id);
      if (!isThere) return { ...list, rules: [...list.rules, change.charge] };
      return withRules(list, (rule) => (rule.id === change.charge.id ? change.charge : rule));
    }
    case 'without':
      return { ...list, rules: list.rules.filter((rule) => rule.id !== change.rule) };
    case 'whole':
      return { ...list, ...change.whole };
    case 'file': {
      const { roundCents: _before, ...kept } = list;
      const { minimumCents, taxBp, roundCents, rules } = change.list;
      return { ...kept, minimumCents, taxBp, rules, ...(roundCents === undefined ? {} : { roundCents }) };
    }
  }
}

function withRules(list: PriceList, changed: (rule: PriceRule) => PriceRule): PriceList {
  return { ...list, rules: list.rules.map(changed) };
}

/** A list with changes made in their order. */
export function withChanges(list: PriceList, changes: readonly PriceChange[]): PriceList {
  return changes.reduce(withChange, list);
}

/** A list to begin another one with: the same charges under another name and from another day. */
export function copyOf(
  list: PriceList,
  { id, name, effectiveFrom }: Pick<PriceList, 'id' | 'name' | 'effectiveFrom'>,
): PriceList {
  return { ...list, id, name, effectiveFrom };
}

/** The list after a change, or why it cannot be made. */
export function changed(list: PriceList, change: PriceChange): Result<PriceList, 'invalid'> {
  if (
    (change.kind === 'rate' || change.kind === 'without') &&
    !list.rules.some(({ id }) => id === change.rule)
  ) {
    return failure('invalid', `There is no charge "${change.rule}" in this list any more.`, 'change.rule');
  }
  const after = checkShape<PriceList>(priceListSchema, withChange(list, change));
  return after.ok ? success(after.value) : after;
}

/**
 * A change in words for the list's history: `Cut and wrap 0.98 to 1.04`.
 *
 * @param before - the list that it was made to
 */
export function changeWords(before: PriceList, change: PriceChange): string {
  const money = (amount: number) => formatMoney(amount as PriceRule['rateCents'], '');
  const old = (id: string) => before.rules.find((rule) => rule.id === id);
  switch (change.kind) {
    case 'rate': {
      const rule = old(change.rule);
      return `${rule?.label ?? change.rule} ${rule ? `${money(rule.rateCents)} to ` : ''}${money(change.rateCents)}`;
    }
    case 'charge': {
      const { charge } = change;
      const was = old(charge.id);
      const per = (rule: PriceRule) => rateWords(rule, '');
      if (!was) return `new: ${charge.label}, ${per(charge)}`;
      if (per(was) !== per(charge)) return `${charge.label} ${per(was)} to ${per(charge)}`;
      return was.label === charge.label
        ? `${charge.label}: what it hangs on`
        : `${was.label}, now ${charge.label}`;
    }
    case 'without':
      return `${old(change.rule)?.label ?? change.rule} not charged any more`;
    case 'whole':
      return wholeWords(before, change.whole).join(', ') || 'nothing of the whole list';
    case 'file':
      return `${change.list.rules.length} charges from a file`;
  }
}

/** What of a whole list is otherwise, in words. */
function wholeWords(before: PriceList, whole: Extract<PriceChange, { kind: 'whole' }>['whole']): string[] {
  const after = { ...before, ...whole };
  const money = (amount: number) => formatMoney(amount as Cents, '');
  const words: readonly [keyof PriceList, string][] = [
    ['name', `called ${after.name}`],
    ['effectiveFrom', `from ${after.effectiveFrom}`],
    ['minimumCents', `smallest order ${money(before.minimumCents)} to ${money(after.minimumCents)}`],
    ['taxBp', `tax ${before.taxBp / 100} % to ${after.taxBp / 100} %`],
    ['roundCents', `totals rounded to ${money(after.roundCents ?? 1)}`],
  ];
  return words.flatMap(([key, said]) => ((before[key] ?? 1) === (after[key] ?? 1) ? [] : [said]));
}
