import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { Drying } from '@/server/hang';
import styles from './RailPlan.module.css';

const SIZE = { width: 300, height: 64, left: 4, right: 62, top: 14, bottom: 16 } as const;

/** How a side dries: what is expected of it day by day, and what it weighed. The lightest day is the foot of the picture. */
export function DryingCurve({ drying, unit }: { drying: Drying; unit: string }) {
  const { expected, weighed, today } = drying;
  const all = [...expected, ...weighed.map(({ weight }) => weight)];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const last = expected.length - 1;
  const x = (day: number) => SIZE.left + (day / Math.max(1, last)) * (SIZE.width - SIZE.left - SIZE.right);
  const y = (weight: number) =>
    SIZE.top + ((most - weight) / Math.max(1, most - least)) * (SIZE.height - SIZE.top - SIZE.bottom);
  const line = expected.map((weight, day) => `${x(day).toFixed(1)},${y(weight).toFixed(1)}`).join(' ');
  const show = (weight: Weight) => formatWeight(weight, 1);
  const end = expected[last]!;
  return (
    <svg
      className={styles.drying}
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      role="img"
      aria-label={`Hung ${show(expected[0]!)} ${unit} hot; ${show(end)} expected on day ${last}. Weighed: ${weighed
        .map(({ day, weight }) => `day ${day} ${show(weight)}`)
        .join(', ')}.`}
    >
      <polyline points={line} />
      {today <= last && <line x1={x(today)} x2={x(today)} y1={SIZE.top - 4} y2={SIZE.height - SIZE.bottom} />}
      {weighed.map(({ day, weight }) => (
        <circle key={`${day} ${weight}`} cx={x(Math.min(day, last))} cy={y(weight)} r={4} />
      ))}
      <text x={SIZE.left + 10} y={11}>
        {show(expected[0]!)} hot
      </text>
      <text x={x(last) + 6} y={y(end) - 6}>
        {show(end)}
      </text>
      <text x={x(Math.min(today, last))} y={SIZE.height - 2} textAnchor={today === 0 ? 'start' : 'middle'}>
        day {today}
      </text>
      <text x={x(last) + 6} y={SIZE.height - 2}>
        day {last}
      </text>
    </svg>
  );
}
