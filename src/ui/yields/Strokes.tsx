'use client';

import { CustomChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register, type EChartsType } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import type { CustomSeriesOption } from 'echarts';
import type { YieldsView } from '@/server/yields';
import { CHART_COLOURS } from '../kit/theme';
import type { Row } from './rows';

register([CustomChart, GridComponent, TooltipComponent, CanvasRenderer]);

/** Height of a line, and of the scale over it; the labels beside the picture take the same. */
export const LINE = 34;
export const SCALE = 26;
const STROKE = { width: 1.6, height: 20 } as const;
/** So many strokes one over the other are black; more get paler. */
const DENSE = 24;

type Props = { view: YieldsView; rows: readonly Row[]; onOpen: (shareId: string) => void };

/** Where it goes, share by share: a stroke is a share, the tall mark the mean, the line below it eight in ten. */
export function Strokes({ view, rows, onOpen }: Props) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return undefined;
    const chart = init(box.current, null, { renderer: 'canvas' });
    draw(chart, view, rows);
    chart.on('click', ({ data }) => {
      const at = (data as readonly number[])[2];
      if (at !== undefined && view.strokes[at]) onOpen(view.strokes[at].shareId);
    });
    const resize = () => chart.resize();
    window.addEventListener('resize', resize);
    return () => {
      window.removeEventListener('resize', resize);
      chart.dispose();
    };
  }, [view, rows, onOpen]);
  return <div ref={box} style={{ height: SCALE + rows.length * LINE + 10 }} aria-hidden />;
}

/** The whole has a scale of its own, which begins further on and is as long. */
function scalesOf(view: YieldsView, rows: readonly Row[]) {
  const most = Math.max(
    10,
    ...rows
      .filter(({ isWhole }) => !isWhole)
      .flatMap(({ at }) => view.strokes.map(({ pct }) => pct[at] ?? 0)),
  );
  const length = Math.ceil(most / 10) * 10;
  const whole = view.spreads['packed-hot'];
  const from = whole ? Math.max(0, Math.floor((whole.mean - length / 2) / 5) * 5) : 0;
  return { length, from };
}

function draw(chart: EChartsType, view: YieldsView, rows: readonly Row[]): void {
  const { length, from } = scalesOf(view, rows);
  const wholeAt = rows.findIndex(({ isWhole }) => isWhole);
  const parts = [
    { rows: rows.slice(0, wholeAt), min: 0, axis: 'top' as const },
    { rows: rows.slice(wholeAt, wholeAt + 1), min: from, axis: 'bottom' as const },
    { rows: rows.slice(wholeAt + 1), min: 0, axis: null },
  ].filter((part) => part.rows.length > 0);
  let top = SCALE;
  const grids = parts.map((part) => {
    const grid = { left: 8, right: 12, top, height: part.rows.length * LINE };
    top += grid.height;
    return grid;
  });
  chart.setOption({
    animation: false,
    textStyle: { fontFamily: 'Archivo Variable, sans-serif', fontSize: 13, color: CHART_COLOURS.ink },
    tooltip: { confine: true },
    grid: grids,
    xAxis: parts.map(({ min, axis }, gridIndex) => ({
      gridIndex,
      type: 'value',
      min,
      max: min + length,
      position: axis === 'bottom' ? 'bottom' : 'top',
      interval: 10,
      axisLabel: { show: axis === 'top', color: CHART_COLOURS.quiet, fontSize: 13 },
      axisLine: { show: false },
      axisTick: { show: false },
      splitLine: { lineStyle: { color: CHART_COLOURS.line } },
    })),
    yAxis: parts.map((part, gridIndex) => ({
      gridIndex,
      type: 'category',
      inverse: true,
      data: part.rows.map(({ label }) => label),
      show: false,
    })),
    series: parts.flatMap((part, at) => [
      strokes(view, part.rows, at),
      middles(view, { rows: part.rows, at, ends: part.min > 0 ? [part.min, part.min + length] : null }),
    ]),
  });
}

/** Every share of every line. */
function strokes(view: YieldsView, rows: readonly Row[], at: number): CustomSeriesOption {
  const opacity = Math.max(0.12, Math.min(0.85, DENSE / Math.max(1, view.strokes.length)));
  return {
    type: 'custom',
    xAxisIndex: at,
    yAxisIndex: at,
    clip: true,
    data: rows.flatMap(({ at: figure }, line) =>
      view.strokes.flatMap(({ pct }, share) => {
        const value = pct[figure];
        return value === null || value === undefined ? [] : [[value, line, share]];
      }),
    ),
    tooltip: {
      formatter: ({ data }) => {
        const [value, line, share] = data as [number, number, number];
        const { name, tag, closedOn } = view.strokes[share]!;
        return `${name}, ${tag}<br>${rows[line]!.label} ${value.toFixed(1)} %, closed ${closedOn}`;
      },
    },
    renderItem: (_, api) => {
      const [x, y] = api.coord([api.value(0), api.value(1)]) as [number, number];
      const row = rows[Number(api.value(1))]!;
      const shape = { x: x - STROKE.width / 2, y: y - STROKE.height / 2 - 3, ...STROKE };
      return { type: 'rect', shape, style: { fill: colourOf(row), opacity } };
    },
  };
}

type Marked = {
  readonly rows: readonly Row[];
  readonly at: number;
  /** The ends of a scale of its own, which are written at it. */
  readonly ends: readonly [number, number] | null;
};

/** The mean of each line, and what eight in ten give. */
function middles(view: YieldsView, { rows, at, ends }: Marked): CustomSeriesOption {
  return {
    type: 'custom',
    xAxisIndex: at,
    yAxisIndex: at,
    silent: true,
    data: rows.flatMap(({ part }, line) => {
      const spread = view.spreads[part];
      return spread ? [[spread.mean, line, spread.low, spread.high]] : [];
    }),
    renderItem: (_, api) => {
      const on = (value: number) => api.coord([value, api.value(1)]) as [number, number];
      const [x, y] = on(Number(api.value(0)));
      const [[low], [high]] = [on(Number(api.value(2))), on(Number(api.value(3)))];
      const line = (x1: number, y1: number, x2: number, y2: number, lineWidth: number) => ({
        type: 'line' as const,
        shape: { x1, y1, x2, y2 },
        style: { stroke: CHART_COLOURS.ink, lineWidth },
      });
      const words = (ends ?? []).map((end) => ({
        type: 'text' as const,
        x: on(end)[0],
        y: y - LINE / 2 + 1,
        style: {
          text: String(end),
          fill: CHART_COLOURS.quiet,
          font: '13px "Archivo Variable", sans-serif',
          align: end === ends![0] ? ('left' as const) : ('right' as const),
        },
      }));
      return {
        type: 'group',
        children: [line(x, y - 15, x, y + 9, 3), line(low, y + 12, high, y + 12, 2), ...words],
      };
    },
  };
}

function colourOf({ mark, isWhole }: Row): string {
  if (isWhole || mark === null) return CHART_COLOURS.ink;
  return mark === 'lost' ? CHART_COLOURS.bones : CHART_COLOURS[mark];
}
