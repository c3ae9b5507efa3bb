'use client';

import { LineChart, type LineSeriesOption } from 'echarts/charts';
import { GridComponent, MarkLineComponent, MarkPointComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { LONGEST_SILENCE, type Post } from '@/core/smokehouse/plan';
import { degreeSign, ownDegrees, wholeDegrees } from '@/core/quantity/degrees';
import type { WeighingUnit } from '@/core/quantity/weight';
import type { LoadAtSmoke } from '@/server/smoke';
import { CHART_COLOURS } from '../kit/theme';
import { hourAt } from './words';

register([LineChart, GridComponent, MarkLineComponent, MarkPointComponent, TooltipComponent, CanvasRenderer]);

/** Degrees that the picture reaches down and up to. */
const [COLDEST, HOTTEST] = [30, 180];

type Props = { load: LoadAtSmoke; zone: string; unit: WeighingUnit };

/** The curve of a load, with its plan as posts in it: one to get over, others to get under. A curve that hits a post is a hold. */
export function LoadCurve({ load, zone, unit }: Props) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return undefined;
    const chart = init(box.current, null, { renderer: 'canvas' });
    // On the floor's ground ink is light.
    const own = getComputedStyle(box.current);
    const ink = own.getPropertyValue('--ink').trim() || CHART_COLOURS.ink;
    const quiet = own.getPropertyValue('--quiet').trim() || CHART_COLOURS.quiet;
    const alarm = own.getPropertyValue('--alarm').trim() || CHART_COLOURS.ink;
    const line = own.getPropertyValue('--line').trim() || CHART_COLOURS.line;
    const { lit, posts } = load.standing;
    const until = lastMinute(load);
    const words = { fontFamily: 'Archivo Variable, sans-serif', fontSize: 13 };
    chart.setOption({
      animation: false,
      textStyle: { ...words, color: ink },
      tooltip: {
        trigger: 'axis',
        confine: true,
        formatter: (shown: unknown) => {
          const [first] = shown as readonly { value: readonly [number, number | null] }[];
          if (!first || first.value[1] === null || !lit) return '';
          return `${hourAt(zone, lit.at, first.value[0])}: ${ownDegrees(first.value[1], unit).toFixed(1)} ${degreeSign(unit)}`;
        },
      },
      grid: { left: 44, right: 18, top: 34, bottom: 26 },
      xAxis: {
        type: 'value',
        min: 0,
        max: until,
        interval: Math.ceil(until / 5 / 60) * 60,
        axisLabel: {
          color: quiet,
          fontSize: 13,
          hideOverlap: true,
          formatter: (minute: number) => (lit ? hourAt(zone, lit.at, minute) : ''),
        },
        splitLine: { show: false },
        axisLine: { lineStyle: { color: ink } },
      },
      yAxis: {
        type: 'value',
        min: COLDEST,
        max: HOTTEST,
        interval: 30,
        axisLabel: {
          color: quiet,
          fontSize: 13,
          formatter: (fahrenheit: number) => wholeDegrees(fahrenheit, unit),
        },
        splitLine: { lineStyle: { color: line } },
      },
      series: [
        {
          type: 'line',
          showSymbol: false,
          data: withSilences(load.readings),
          lineStyle: { width: 3, color: ink },
          connectNulls: false,
          markLine: {
            silent: true,
            symbol: 'none',
            data: posts.flatMap((post) => postLine(post, { ink, alarm, words, until })),
          },
          markPoint: {
            silent: true,
            symbol: 'circle',
            symbolSize: 13,
            data: posts.flatMap((post) => hits(post, load.readings, alarm)),
          },
        } satisfies LineSeriesOption,
        {
          type: 'line',
          showSymbol: false,
          silent: true,
          data: silencesOf(load.readings),
          lineStyle: { width: 2, type: 'dashed', color: alarm },
        } satisfies LineSeriesOption,
      ],
    });
    const resize = () => chart.resize();
    window.addEventListener('resize', resize);
    return () => {
      window.removeEventListener('resize', resize);
      chart.dispose();
    };
  }, [load, zone, unit]);
  return <div ref={box} style={{ height: '100%', minHeight: 220 }} aria-hidden />;
}

function lastMinute({ readings, standing }: LoadAtSmoke): number {
  const posts = standing.posts.flatMap(({ by, met }) => [by ?? 0, met ?? 0]);
  return Math.max(600, (readings.at(-1)?.[0] ?? 0) + 30, ...posts.map((minute) => minute + 60));
}

type Inks = {
  readonly ink: string;
  readonly alarm: string;
  readonly words: object;
  /** The last minute of the picture. */
  readonly until: number;
};

/** A post: the heat from below up to what must be got over, a cooling from above down to what must be got under. */
function postLine(
  { kind, words: plan, by, met, degrees, state }: Post,
  { ink, alarm, words, until }: Inks,
): [object, object][] {
  const at = kind === 'heat' ? met : by;
  if (at === null) return [];
  const missed = state === 'missed' || state === 'unknown';
  const lineStyle = { type: 'solid', width: 6, color: missed ? alarm : ink };
  const label = {
    ...words,
    show: true,
    position: 'end',
    formatter: at < until * 0.8 ? plan : plan.split(' within')[0],
    color: missed ? alarm : ink,
    fontWeight: missed ? 700 : 400,
  };
  const [from, to] = kind === 'heat' ? [COLDEST, degrees] : [degrees, HOTTEST];
  return [
    [{ coord: [at, from], lineStyle, label: { ...label, show: kind !== 'heat' } }, { coord: [at, to] }],
  ];
}

/** Where a curve hits a post. */
function hits(post: Post, readings: LoadAtSmoke['readings'], alarm: string) {
  if (post.kind !== 'cooling' || post.state !== 'missed' || post.by === null) return [];
  const hit = readings.findLast(([minute]) => minute <= post.by!);
  return hit
    ? [
        {
          name: post.words,
          coord: [post.by, hit[1]],
          itemStyle: { color: 'transparent', borderColor: alarm, borderWidth: 3 },
        },
      ]
    : [];
}

/** The readings, with a gap where the probe was silent. */
function withSilences(readings: LoadAtSmoke['readings']): [number, number | null][] {
  return readings.flatMap(([minute, degrees], at) => {
    const before = readings[at - 1];
    const isGap = before !== undefined && minute - before[0] > LONGEST_SILENCE;
    const here: [number, number | null] = [minute, degrees];
    return isGap ? [[minute - 0.5, null], here] : [here];
  });
}

/** What nobody knows: from the last word before a silence to the first after it. */
function silencesOf(readings: LoadAtSmoke['readings']): [number, number | null][] {
  return readings.flatMap((now, at) => {
    const before = readings[at - 1];
    if (!before || now[0] - before[0] <= LONGEST_SILENCE) return [];
    return [[...before], [...now], [now[0], null]];
  });
}
