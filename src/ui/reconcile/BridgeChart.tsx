'use client';

import { BarChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import type { BridgeStep } from '@/core/reconcile/reconcile';
import { formatWeight, inUnits, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { CHART_COLOURS } from '../kit/theme';

register([BarChart, GridComponent, TooltipComponent, SVGRenderer]);

/** Where each bar starts and how long it is: what is left after each loss. */
function bars(steps: readonly BridgeStep[]) {
  let left = 0;
  return steps.map((step) => {
    if (!step.lost) {
      left = step.weight;
      return { start: 0, length: inUnits(step.weight) };
    }
    left -= step.weight;
    const start = step.weight >= 0 ? left : left + step.weight;
    return { start: inUnits(start as Weight), length: Math.abs(inUnits(step.weight)) };
  });
}

/** From the rail to the boxes, one bar for each step; the table beside it has the same figures. */
export function BridgeChart({ steps, unit }: { steps: readonly BridgeStep[]; unit: WeighingUnit }) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return undefined;
    const chart = init(box.current, null, { renderer: 'svg' });
    const placed = bars(steps);
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: 'Archivo Variable, sans-serif', color: CHART_COLOURS.ink },
      grid: { left: 8, right: 64, top: 4, bottom: 4, containLabel: true },
      xAxis: {
        type: 'value',
        axisLabel: { formatter: `{value} ${unit}`, color: CHART_COLOURS.quiet, hideOverlap: true },
        splitLine: { lineStyle: { color: CHART_COLOURS.line } },
      },
      yAxis: {
        type: 'category',
        inverse: true,
        data: steps.map((step) => step.label),
        axisTick: { show: false },
        axisLine: { lineStyle: { color: CHART_COLOURS.line } },
        axisLabel: { color: CHART_COLOURS.ink, fontSize: 13 },
      },
      series: [
        {
          type: 'bar',
          stack: 'bridge',
          silent: true,
          itemStyle: { color: 'transparent' },
          data: placed.map((b) => b.start),
        },
        {
          type: 'bar',
          stack: 'bridge',
          barWidth: '72%',
          data: placed.map((bar, index) => ({
            value: bar.length,
            itemStyle: {
              color: steps[index]!.lost ? CHART_COLOURS.lost : CHART_COLOURS.kept,
              decal: steps[index]!.lost
                ? {
                    symbol: 'rect',
                    dashArrayX: [1, 0],
                    dashArrayY: [2, 5],
                    rotation: -0.8,
                    color: 'rgba(30,26,23,0.18)',
                  }
                : null,
            },
            label: {
              show: true,
              position: 'right',
              formatter: `${steps[index]!.lost ? '−' : ''}${formatWeight(steps[index]!.weight, 1)}`.replace(
                '−-',
                '+',
              ),
              color: CHART_COLOURS.ink,
              fontWeight: 600,
            },
          })),
        },
      ],
    });
    const resize = () => chart.resize();
    window.addEventListener('resize', resize);
    return () => {
      window.removeEventListener('resize', resize);
      chart.dispose();
    };
  }, [steps, unit]);
  return (
    <div ref={box} style={{ height: 36 + steps.length * 30 }} role="img" aria-label="Where the weight went" />
  );
}
