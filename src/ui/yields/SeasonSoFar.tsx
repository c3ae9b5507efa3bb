'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import type { YieldsView } from '@/server/yields';
import styles from './Yields.module.css';

const OverWeeks = dynamic(() => import('./OverWeeks').then((module) => module.OverWeeks), { ssr: false });

type Props = { view: YieldsView; onOpen: (shareId: string) => void };

/** How good the forecasts were, and what is unaccounted, share by share over the weeks. */
export function SeasonSoFar({ view, onOpen }: Props) {
  const { strokes, forecasts, limits } = view;
  const misses = useMemo(
    () =>
      strokes.flatMap(({ shareId, name, closedOn, miss }) =>
        miss ? [{ shareId, name, on: closedOn, pct: miss.offPct, standsOut: !miss.inRange }] : [],
      ),
    [strokes],
  );
  const missing = useMemo(
    () =>
      strokes.map(({ shareId, name, closedOn, unaccountedPct: pct }) => ({
        ...{ shareId, name, on: closedOn, pct },
        standsOut: pct < 0 || pct > limits.askPct,
      })),
    [strokes, limits],
  );
  const zero = useMemo(() => [{ at: 0, words: 'as forecast' }], []);
  const asked = useMemo(
    () => [
      { at: limits.askPct, words: 'asked about' },
      { at: limits.investigatePct, words: 'investigated' },
    ],
    [limits],
  );
  if (!forecasts) return null;
  const over = missing.filter(({ standsOut }) => standsOut).length;
  return (
    <div className={styles.weeks}>
      <section>
        <h2>Was the forecast right?</h2>
        <p>
          A box weighed <b>{forecasts.meanError.toFixed(1)} %</b> beside its forecast in the mean
          {biasWords(forecasts.off.mean)}; <b>{forecasts.inRangePct.toFixed(0)} %</b> lay in their range,
          where eighty are meant to. <span className="quiet">Hollow: outside its range.</span>
        </p>
        <OverWeeks dots={misses} lines={zero} onOpen={onOpen} />
      </section>
      <section>
        <h2>How much is unaccounted?</h2>
        <p>
          {over === 0 ? 'No share' : `${over} of ${missing.length} shares`} had more than{' '}
          {limits.askPct.toFixed(1)} % of the cold weight unaccounted, or less than nothing.
        </p>
        <OverWeeks dots={missing} lines={asked} onOpen={onOpen} />
      </section>
    </div>
  );
}

/** Whether they lean to one side. */
function biasWords(mean: number): string {
  if (Math.abs(mean) < 0.3) return '';
  return `, ${Math.abs(mean).toFixed(1)} % ${mean > 0 ? 'more' : 'less'} than was said`;
}
