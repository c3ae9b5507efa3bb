'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { PARTS, type Part } from '@/core/yields/rates';
import type { Slope } from '@/core/yields/slope';
import type { Stroke, YieldsView } from '@/server/yields';
import type { Dot } from './Dots';
import styles from './Yields.module.css';

const Dots = dynamic(() => import('./Dots').then((module) => module.Dots), { ssr: false });

const NO_LINES: readonly never[] = [];

type Props = { view: YieldsView; onOpen: (shareId: string) => void };

/** How good the forecasts were, and what is unaccounted, share by share over the weeks. */
export function SeasonSoFar({ view, onOpen }: Props) {
  const { strokes, forecasts, limits, unit, slopes, fatnessWords } = view;
  const misses = useMemo(
    () =>
      strokes.flatMap(({ shareId, name, closedOn, miss }) =>
        miss ? [{ shareId, name, x: closedOn, pct: miss.offPct, standsOut: !miss.inRange }] : [],
      ),
    [strokes],
  );
  const missing = useMemo(
    () =>
      strokes.map(({ shareId, name, closedOn, unaccountedPct: pct }) => ({
        ...{ shareId, name, x: closedOn, pct },
        standsOut: pct < 0 || pct > limits.askPct,
      })),
    [strokes, limits],
  );
  const byWeight = useMemo(() => against(strokes, ({ hot }) => hot, 'packed-hot'), [strokes]);
  const byDays = useMemo(() => against(strokes, ({ daysHung }) => daysHung, 'shrink'), [strokes]);
  const byFatness = useMemo(() => against(strokes, ({ fatness }) => fatness, 'packed-hot'), [strokes]);
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
          The boxes of a share weighed <b>{forecasts.meanError.toFixed(1)} %</b> beside their forecast in the
          mean
          {biasWords(forecasts.off.mean)}; <b>{forecasts.inRangePct.toFixed(0)} %</b> lay in their range,
          where eighty are meant to. <span className="quiet">Hollow: outside its range.</span>
        </p>
        <Dots dots={misses} lines={zero} onOpen={onOpen} />
      </section>
      <section>
        <h2>How much is unaccounted?</h2>
        <p>
          {over === 0 ? 'No share' : `${over} of ${missing.length} shares`} had more than{' '}
          {limits.askPct.toFixed(1)} % of the cold weight unaccounted, or less than nothing.
        </p>
        <Dots dots={missing} lines={asked} onOpen={onOpen} />
      </section>
      <Against
        title="Do heavier ones give more?"
        of={`${unit} hot`}
        more={(times) => `${times} ${unit} more`}
        slope={slopes.weight}
        dots={byWeight}
        onOpen={onOpen}
      />
      <Against
        title="Do fatter ones give less?"
        of={fatnessWords}
        more={(times) => `${times} ${fatnessWords} more`}
        slope={slopes.fatness}
        dots={byFatness}
        onOpen={onOpen}
      />
      <Against
        title="What does a day on the rail take?"
        of="days hung"
        more={(times) => (times === 1 ? 'A day longer' : `${times} days longer`)}
        slope={slopes.days}
        dots={byDays}
        onOpen={onOpen}
      />
    </div>
  );
}

type AgainstProps = {
  title: string;
  /** What stands below the picture. */
  of: string;
  /** So many more of it, in words. */
  more: (times: number) => string;
  slope: Slope | null;
  dots: readonly Dot[];
  onOpen: (shareId: string) => void;
};

/** A figure of each share against another of it, with what one more of that does. */
function Against({ title, of, more, slope, dots, onOpen }: AgainstProps) {
  if (dots.length === 0) return null;
  return (
    <section>
      <h2>{title}</h2>
      <p>{slopeWords(slope, more)}</p>
      <Dots dots={dots} xWords={of} lines={NO_LINES} onOpen={onOpen} />
    </section>
  );
}

function slopeWords(slope: Slope | null, more: (times: number) => string): string {
  if (!slope) return 'Too few were measured to say.';
  if (!slope.isClear) return 'No clear difference: what there is may be chance.';
  const [times, points] = readable(slope.perOne);
  return `${more(times)}: ${points > 0 ? '+' : '−'}${Math.abs(points).toFixed(1)} points of the hot weight.`;
}

/** So many more of it that the points can be read. */
function readable(perOne: number): readonly [times: number, points: number] {
  const times = [0.1, 1, 10, 100].find((each) => Math.abs(perOne * each) >= 0.1) ?? 100;
  return [times, perOne * times];
}

/** Shares that have both figures, as dots. */
function against(strokes: readonly Stroke[], of: (stroke: Stroke) => number | null, part: Part): Dot[] {
  const at = PARTS.indexOf(part);
  return strokes.flatMap((stroke) => {
    const [x, pct] = [of(stroke), stroke.pct[at] ?? null];
    const { shareId, name } = stroke;
    return x === null || pct === null ? [] : [{ shareId, name, x, pct, standsOut: false }];
  });
}

/** Whether they lean to one side. */
function biasWords(mean: number): string {
  if (Math.abs(mean) < 0.3) return '';
  return `, ${Math.abs(mean).toFixed(1)} % ${mean > 0 ? 'more' : 'less'} than was said`;
}
