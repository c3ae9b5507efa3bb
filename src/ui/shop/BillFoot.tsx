import type { BillsBeside } from '@/core/charges/besides';
import type { PriceList } from '@/core/charges/priceList';
import { FOOT_LINES, type Bill } from '@/core/charges/bill';
import { formatMoney, sumCents, type Cents } from '@/core/quantity/money';
import styles from './PricesScreen.module.css';

type Props = { bills: BillsBeside; lists: { readonly was: PriceList; readonly now: PriceList } };

/** Both bills at one scale, part by part: one sees which charges make the difference. */
export function BillFoot({ bills, lists }: Props) {
  const besides = {
    group: 'tax, minimum',
    amount: besidesOf(bills.bill),
    amountWas: besidesOf(bills.billWas),
  };
  const groups = [...bills.groups, besides].filter(({ amount, amountWas }) => amount > 0 || amountWas > 0);
  const whole = (of: 'amount' | 'amountWas') => groups.reduce((sum, group) => sum + group[of], 0);
  const most = Math.max(1, whole('amount'), whole('amountWas'));
  const rows = [
    ['amountWas', lists.was.name],
    ['amount', lists.now.name],
  ] as const;
  return (
    <footer className={styles.foot}>
      {rows.map(([of, name]) => (
        <div key={of} className={styles.footRow}>
          <span className="quiet">{name}</span>
          <ol className={styles.footBar} style={{ width: `${(100 * whole(of)) / most}%` }} aria-label={name}>
            {groups.map((group, index) => (
              <li
                key={group.group}
                data-shade={index % 4}
                style={{ flexGrow: Math.max(0, group[of]) }}
                title={`${group.group} ${formatMoney(group[of], lists.now.sign)}`}
              >
                {group.group} <b>{formatMoney(group[of], '')}</b>
              </li>
            ))}
          </ol>
          <b>{formatMoney(whole(of) as Cents, lists.now.sign)}</b>
        </div>
      ))}
    </footer>
  );
}

/** What is on a bill besides its charges. */
function besidesOf({ lines }: Bill): Cents {
  return sumCents(lines.filter(({ rule }) => FOOT_LINES.has(rule)).map((line) => line.amount));
}
