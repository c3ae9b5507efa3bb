import { useEffect, useState } from 'react';
import type { BillsBeside, ChargeBeside, GroupBeside } from '@/core/charges/besides';
import { FOOT_LINES } from '@/core/charges/bill';
import { BASIS_WORDS, type PriceList, type PriceRule } from '@/core/charges/priceList';
import { formatMoney, type Cents } from '@/core/quantity/money';
import type { WeighingUnit } from '@/core/quantity/weight';
import type { WorkedOrder } from '@/server/shop';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import { WorkingOf } from '../kit/WorkingOf';
import styles from './PricesScreen.module.css';

/** A rate that is typed and not kept yet. */
export type Typed = { readonly rule: string; readonly rateCents: number } | null;

type Props = {
  bills: BillsBeside;
  lists: { readonly was: PriceList; readonly now: PriceList };
  /** The list as it is kept, without the rate that is being typed. */
  kept: PriceList;
  worked: WorkedOrder;
  unit: WeighingUnit;
  /** The list in hand; absent where it stands and cannot be changed. */
  draftId: string | undefined;
  onTyped: (typed: Typed) => void;
  onCharge: (id: string | null) => void;
  onOrder: (by: number) => void;
};

/** A charge is a multiplication, so the list is the bill: rates, what they take of one order, and the money. */
export function RateTable({ bills, lists, kept, worked, unit, draftId, onTyped, onCharge, onOrder }: Props) {
  const [all, setAll] = useState(false);
  const money = (amount: number) => formatMoney(amount as Cents, '');
  return (
    <>
      <p className={styles.worked}>
        <b>
          {lists.now.name} against {lists.was.name.toLowerCase()},
        </b>{' '}
        worked on <b>{worked.name}</b> <span className="quiet">{worked.about}</span>{' '}
        <button
          type="button"
          className={styles.keyed}
          onClick={() => onOrder(-1)}
          aria-label="The order before"
        >
          <kbd>[</kbd>
        </button>
        <button type="button" className={styles.keyed} onClick={() => onOrder(1)} aria-label="Another order">
          <kbd>]</kbd>
        </button>{' '}
        <span className="quiet">another order</span>
      </p>
      <table className={styles.rates}>
        <thead>
          <tr>
            <th>it multiplies</th>
            <th>charge, and what it hangs on</th>
            <th className="num">was</th>
            <th className="num">rate</th>
            <th className={styles.per}>per</th>
            <th className="num">times</th>
            <th className="num">bill was</th>
            <th className="num">now</th>
            <th className="num">more</th>
          </tr>
        </thead>
        {bills.groups.map((group) => (
          <Group
            key={group.group}
            group={group}
            all={all}
            kept={kept}
            unit={unit}
            draftId={draftId}
            onTyped={onTyped}
            onCharge={onCharge}
          />
        ))}
        <tbody>
          {bills.bill.lines
            .filter(({ rule }) => FOOT_LINES.has(rule))
            .map((line) => (
              <tr key={line.rule}>
                <td />
                <td colSpan={5} className="quiet">
                  {line.label} {line.quantity}
                </td>
                <td className="num quiet">
                  {money(bills.billWas.lines.find(({ rule }) => rule === line.rule)?.amount ?? 0)}
                </td>
                <td className="num">{money(line.amount)}</td>
                <td />
              </tr>
            ))}
          <tr className={styles.total}>
            <td />
            <td colSpan={5}>
              <b>The household owes</b>{' '}
              {bills.bill.farm.length > 0 && <span className="quiet">besides what the farm pays</span>}
            </td>
            <td className="num quiet">{money(bills.billWas.total)}</td>
            <td className="num">
              <b>{money(bills.bill.total)}</b>
            </td>
            <td className="num">
              <More cents={bills.bill.total - bills.billWas.total} />
            </td>
          </tr>
        </tbody>
      </table>
      <p>
        <button type="button" className="link" onClick={() => setAll(!all)}>
          {all ? 'only the charges of this order' : 'all charges, those that this order does not meet too'}
        </button>
        {draftId !== undefined && (
          <>
            {' · '}
            <button type="button" className="link" onClick={() => onCharge(null)}>
              add a charge <kbd>+</kbd>
            </button>
          </>
        )}
      </p>
    </>
  );
}

function More({ cents }: { cents: number }) {
  if (cents === 0) return null;
  return (
    <b>
      {cents > 0 ? '+' : '−'}
      {formatMoney(Math.abs(cents) as Cents, '')}
    </b>
  );
}

type GroupProps = Pick<Props, 'kept' | 'unit' | 'draftId' | 'onTyped' | 'onCharge'> & {
  group: GroupBeside;
  all: boolean;
};

/** Charges that multiply the same; those that the order does not meet stand behind a press. */
function Group({ group: { group, charges }, all, kept, unit, draftId, onTyped, onCharge }: GroupProps) {
  const met = charges.filter(({ line, lineWas }) => line ?? lineWas);
  const shown = all ? charges : met;
  const left = charges.length - shown.length;
  if (charges.length === 0) return null;
  return (
    <tbody className={styles.group}>
      {shown.map((charge, index) => (
        <tr key={charge.id}>
          <th scope="rowgroup">{index === 0 && <b>{group}</b>}</th>
          <Charge
            charge={charge}
            kept={kept}
            unit={unit}
            draftId={draftId}
            onTyped={onTyped}
            onCharge={onCharge}
          />
        </tr>
      ))}
      {left > 0 && shown.length === 0 && (
        <tr>
          <th scope="rowgroup">
            <b>{group}</b>
          </th>
          <td colSpan={8} className="quiet">
            {charges.map(({ rule, was }) => (rule ?? was)!.label).join(', ')}: none in this order
          </td>
        </tr>
      )}
    </tbody>
  );
}

type ChargeProps = Pick<Props, 'kept' | 'unit' | 'draftId' | 'onTyped' | 'onCharge'> & {
  charge: ChargeBeside;
};

function Charge({
  charge: { rule, was, line, lineWas, more },
  kept,
  unit,
  draftId,
  onTyped,
  onCharge,
}: ChargeProps) {
  const named = (rule ?? was)!;
  const keptRule = kept.rules.find(({ id }) => id === named.id);
  const money = (amount: number | undefined) =>
    amount === undefined ? '' : formatMoney(amount as Cents, '');
  const words = [hangsOn(named), named.payer === 'farm' ? 'the farm pays' : '', named.taxable ? 'taxed' : ''];
  return (
    <>
      <td>
        {rule && draftId !== undefined ? (
          <button type="button" className={styles.charge} onClick={() => onCharge(rule.id)}>
            {named.label}
          </button>
        ) : (
          <b>{named.label}</b>
        )}{' '}
        <span className="quiet">{words.filter(Boolean).join('; ')}</span>
      </td>
      <td className="num quiet">{money(was?.rateCents)}</td>
      <td className="num">
        {keptRule && draftId !== undefined ? (
          <RateField key={keptRule.rateCents} rule={keptRule} draftId={draftId} onTyped={onTyped} />
        ) : (
          money(rule?.rateCents)
        )}
      </td>
      <td className={styles.per}>
        {rule ? perWord(rule, unit) : <span className="alarm">not charged</span>}
      </td>
      <td className="num">
        {(line ?? lineWas)?.quantity.replace(/ (hot|cold|packaged|green|finished)$/, '') ?? 'none'}
      </td>
      <td className="num quiet">{money(lineWas?.amount)}</td>
      <td className="num">{line && <WorkingOf working={line.working}>{money(line.amount)}</WorkingOf>}</td>
      <td className="num">
        <More cents={more} />
      </td>
    </>
  );
}

/** What a charge hangs on, as the trade says it. */
function hangsOn({ key, label, species, tiers }: PriceRule): string {
  const kinds = species ? species.join(', ') : '';
  const said = key ? key.replaceAll('-', ' ') : '';
  const work = label.toLowerCase().includes(said) ? '' : said;
  const heavier = tiers
    ? tiers.map(({ above, rateCents }) => `above ${above}: ${formatMoney(rateCents, '')}`).join(', ')
    : '';
  return [kinds, work, heavier].filter(Boolean).join('; ');
}

function perWord({ basis }: PriceRule, unit: WeighingUnit): string {
  const { per } = BASIS_WORDS[basis];
  return per.startsWith('by ') ? unit : per.replace(/^an? /, '');
}

type RateProps = { rule: PriceRule; draftId: string; onTyped: (typed: Typed) => void };

/** Reads a rate as people type it: `1.04`, `1,04`, `12`. Undefined when it is none. */
export function readRate(text: string): number | undefined {
  const said = text.trim().replace(',', '.');
  if (!/^\d{1,6}(\.\d{0,2})?$/.test(said)) return undefined;
  return Math.round(Number(said) * 100);
}

/** One rate: the bill moves as one types, Enter keeps it, Esc gives the old one back. */
function RateField({ rule, draftId, onTyped }: RateProps) {
  const kept = (rule.rateCents / 100).toFixed(2);
  const [text, setText] = useState(kept);
  const [stands, setStands] = useState(kept);
  const { ask, busy, refusal } = useAsk('changePrices');
  const rate = readRate(text);
  const isTyped = text !== stands;
  useEffect(() => () => onTyped(null), [onTyped]);
  async function keep() {
    if (rate === undefined || !isTyped) return;
    const answer = await ask({ draftId, change: { kind: 'rate', rule: rule.id, rateCents: rate } });
    if (answer.ok) {
      setStands(text);
      onTyped(null);
    }
  }
  return (
    <>
      <input
        className={isTyped ? styles.rateTyped : styles.rate}
        inputMode="decimal"
        aria-label={`Rate of ${rule.label}`}
        aria-invalid={rate === undefined}
        value={text}
        disabled={busy}
        onFocus={(event) => event.target.select()}
        onChange={(event) => {
          setText(event.target.value);
          const typed = readRate(event.target.value);
          if (typed !== undefined) onTyped({ rule: rule.id, rateCents: typed });
        }}
        onBlur={() => void keep()}
        onKeyDown={(event) => {
          // Leaving a field keeps it, and the hand goes on to the next rate.
          if (event.key === 'Enter' && rate !== undefined) {
            const next = nextRate(event.currentTarget, 1);
            if (next) next.focus();
            else event.currentTarget.blur();
          }
          if (event.key === 'Escape') {
            setText(stands);
            onTyped(null);
          }
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            nextRate(event.currentTarget, event.key === 'ArrowDown' ? 1 : -1)?.focus();
          }
        }}
      />
      {rate === undefined && <span className="alarm">“{text}” is no rate</span>}
      <Note failure={refusal} />
    </>
  );
}

function nextRate(from: HTMLInputElement, by: number): HTMLInputElement | undefined {
  const rates = [...document.querySelectorAll<HTMLInputElement>('input[aria-label^="Rate of"]')];
  return rates[rates.indexOf(from) + by];
}
