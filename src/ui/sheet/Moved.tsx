'use client';

import { expectedParts } from '@/core/order/whole';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { signed } from '@/core/quantity/signed';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import { destinationClass } from '../kit/DestinationMark';
import styles from './Moved.module.css';
import type { SheetState } from './useSheet';

/** Less than this, in thousandths, has not moved. */
const TRIFLE = 20;

/** What the last change moved, as bars on one axis that add to nothing; it fades, and the next change puts its own here. */
export function Moved({ state }: { state: SheetState }) {
  const { moved, now, evaluations, situation, ground } = state;
  if (!moved) return null;
  const before = evaluations.of(moved.from);
  const parts = movedParts(before.forecast, now.forecast);
  const home = now.forecast.takeHome - before.forecast.takeHome;
  const money = now.bill.total - before.bill.total;
  if (parts.length === 0 && money === 0) return null;
  const most = Math.max(1, ...parts.map(({ by }) => Math.abs(by)));
  return (
    <section key={moved.count} className={styles.moved} aria-label="Moved just now">
      <h3>Moved just now</h3>
      <div className={styles.both}>
        <ol>
          {parts.map(({ key, label, destination, by }) => (
            <li key={key}>
              <span className={styles.less}>
                {by < 0 && (
                  <>
                    −{formatWeight(-by as Weight, 1)}{' '}
                    <i className={destinationClass(destination)} style={{ width: `${(60 * -by) / most}%` }} />
                  </>
                )}
                {by > 0 && label}
              </span>
              <span className={styles.more}>
                {by > 0 && (
                  <>
                    <i className={destinationClass(destination)} style={{ width: `${(60 * by) / most}%` }} />{' '}
                    +{formatWeight(by as Weight, 1)}
                  </>
                )}
                {by < 0 && label}
              </span>
            </li>
          ))}
        </ol>
        <p>
          <b>
            {signed(home, formatWeight(Math.abs(home) as Weight, 1))}
            <span className="unit">{situation.unit} home</span>
          </b>
          <b>{signed(money, formatMoney(Math.abs(money) as Cents, ground.priceList.sign))}</b>
        </p>
      </div>
    </section>
  );
}

type MovedPart = ReturnType<typeof expectedParts>[number] & { readonly by: number };

/** Where more or less goes than before; what hardly moved is left out. */
function movedParts(
  before: Parameters<typeof expectedParts>[0],
  now: Parameters<typeof expectedParts>[0],
): MovedPart[] {
  const was = new Map(expectedParts(before).map(({ key, weight }) => [key, weight]));
  return expectedParts(now)
    .map((part) => ({ ...part, by: part.weight - (was.get(part.key) ?? 0) }))
    .filter(({ by }) => Math.abs(by) >= TRIFLE);
}
