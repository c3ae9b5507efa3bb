'use client';

import { ScatterChart } from 'echarts/charts';
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { CHART_COLOURS } from '../kit/theme';

register([ScatterChart, GridComponent, MarkLineComponent, TooltipComponent, CanvasRenderer]);

/** One share; hollow where it stands out. */
export type Dot = {
  readonly shareId: string;
  readonly name: string;
  /** A day, or a figure. */
  readonly x: string | number;
  readonly pct: number;
  readonly standsOut: boolean;
};

type Props = {
  dots: readonly Dot[];
  /** What stands below: days where it is not said. */
  xWords?: string;
  /** Lines across the picture, with what each is. */
  lines: readonly { readonly at: number; readonly words: string }[];
  onOpen: (shareId: string) => void;
};

/** A figure of each share, over the days on which they were closed or over another figure. */
export function Dots({ dots, xWords = '', lines, onOpen }: Props) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return undefined;
    const chart = init(box.current, null, { renderer: 'canvas' });
    const text = { fontSize: 13, color: CHART_COLOURS.quiet };
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: 'Archivo Variable, sans-serif', color: CHART_COLOURS.ink },
      grid: { left: 44, right: 12, top: 12, bottom: xWords === '' ? 26 : 44 },
      tooltip: { confine: true },
      xAxis: {
        type: xWords === '' ? 'time' : 'value',
        scale: true,
        name: xWords,
        nameLocation: 'middle',
        nameGap: 26,
        nameTextStyle: text,
        axisLabel: { ...text, hideOverlap: true },
        axisLine: { lineStyle: { color: CHART_COLOURS.line } },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'value',
        scale: true,
        axisLabel: { ...text, formatter: '{value} %' },
        splitLine: { lineStyle: { color: CHART_COLOURS.line } },
      },
      series: [
        {
          type: 'scatter',
          symbolSize: 7,
          data: dots.map(({ x, pct, standsOut }) => ({
            value: [x, pct],
            itemStyle: standsOut
              ? { color: 'transparent', borderColor: CHART_COLOURS.steaks, borderWidth: 2 }
              : { color: CHART_COLOURS.ink, opacity: 0.45 },
          })),
          tooltip: {
            formatter: ({ dataIndex }: { dataIndex: number }) => {
              const { name, x, pct } = dots[dataIndex]!;
              return `${name}<br>${pct.toFixed(1)} %, ${xWords === '' ? `closed ${x}` : `${x} ${xWords}`}`;
            },
          },
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: CHART_COLOURS.ink, type: 'dashed' },
            label: { ...text, position: 'insideEndTop', formatter: '{b}' },
            data: lines.map(({ at, words }) => ({ yAxis: at, name: words })),
          },
        },
      ],
    });
    chart.on('click', ({ dataIndex }) => onOpen(dots[dataIndex]!.shareId));
    const resize = () => chart.resize();
    window.addEventListener('resize', resize);
    return () => {
      window.removeEventListener('resize', resize);
      chart.dispose();
    };
  }, [dots, xWords, lines, onOpen]);
  return <div ref={box} style={{ height: 220 }} aria-hidden />;
}
