'use client';

import { memo, type ReactNode } from 'react';
import { counted } from '@/core/quantity/counted';
import { expectedParts } from '@/core/order/whole';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { formatWeight } from '@/core/quantity/weight';
import { takeHomeWorking } from '@/core/working/forecastWorkings';
import { billRangeOf } from '@/core/questions/evaluate';
import type { SheetView } from '@/server/sheet';
import { WholeBar } from '../kit/WholeBar';
import { WorkingOf } from '../kit/WorkingOf';
import { BASIS_WORDS } from '../kit/words';
import styles from './SheetFoot.module.css';
import type { SheetState } from './useSheet';

type Props = { state: SheetState; view: SheetView };

/** The figures people ask for, and the whole hanging weight as one bar that always adds up: always in view. */
export function SheetFoot({ state: { now, sheet, situation, ground }, view }: Props) {
  const { forecast, bill } = now;
  const { unit } = situation;
  const { sign } = ground.priceList;
  const [low, high] = [forecast.takeHomeLow, forecast.takeHomeHigh].map((w) => formatWeight(w, 0));
  const range = billRangeOf(ground, sheet, forecast);
  const whole = (amount: Cents) =>
    formatMoney((Math.round(amount / 100) * 100) as Cents, sign).replace('.00', '');
  const between = range.low === range.high ? '' : `, ${whole(range.low)} to ${whole(range.high)}`;
  const deposit = bill.due === bill.total ? '' : `, ${formatMoney(bill.due, sign)} after deposit`;
  const packs = forecast.lines.reduce((sum, line) => sum + line.packs, 0);
  return (
    <footer className={styles.foot}>
      <div className={styles.line}>
        <dl className={styles.totals}>
          <Total words={`take-home, ${low} to ${high}`} unit={unit}>
            <WorkingOf title="Take-home" working={() => takeHomeWorking(forecast, situation)}>
              <span className={styles.figure}>{formatWeight(forecast.takeHome, 1)}</span>
            </WorkingOf>
          </Total>
          <Total words="of cold weight" unit="%">
            <span className={styles.figure}>{(forecast.yieldBp / 100).toFixed(1)}</span>
          </Total>
          <Total words={`estimate${view.billOf ? ` of ${view.billOf}` : ''}${between}${deposit}`} unit="">
            <span className={styles.figure}>{formatMoney(bill.total, sign)}</span>
          </Total>
          <Total words="freezer" unit="cu ft">
            <span className={styles.figure}>{forecast.freezerCuFt.toFixed(1)}</span>
          </Total>
          <Total words={`of ${counted(forecast.lines.length, 'kind')}`} unit="packs">
            <span className={styles.figure}>{packs}</span>
          </Total>
          <Total words="fat in the grind" unit="%">
            <span className={styles.figure}>
              {forecast.pool.grind === 0 ? '–' : forecast.pool.fatPct.toFixed(1)}
            </span>
          </Total>
        </dl>
        <Basis
          words={`${formatWeight(forecast.coldWeight, unit)} ${unit} ${BASIS_WORDS[view.weightBasis]}.`}
        />
      </div>
      <WholeBar parts={expectedParts(forecast)} unit={unit} label="Where the weight goes" />
    </footer>
  );
}

const Basis = memo(function Basis({ words }: { words: string }) {
  return (
    <div className={styles.basis}>
      <b>{words}</b> Where it goes, if nothing changes:
    </div>
  );
});

/** One figure with its unit, and below it in words what it is. */
function Total({ words, unit, children }: { words: string; unit: string; children: ReactNode }) {
  return (
    <div>
      <dt>
        {children}
        {unit !== '' && <span className="unit">{unit}</span>}
      </dt>
      <dd>{words}</dd>
    </div>
  );
}
