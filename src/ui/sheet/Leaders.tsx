'use client';

import { useEffect, useState, type RefObject } from 'react';
import { frameOf, mirroredMap, zoneBox } from '@/core/species/sideMapPath';
import type { SideMap } from '@/core/species/types';
import styles from './Board.module.css';

type Leader = { readonly zone: string; readonly points: string; readonly end: readonly [number, number] };

type Props = {
  board: RefObject<HTMLDivElement | null>;
  map: SideMap;
  /** The zone of the open row: its line is drawn as here and now. */
  active: string | undefined;
  /** Whether both halves hang there: each column's lines run to the half that is nearer. */
  halves: boolean;
};

/** Lines from the rule of each zone's rows to its place on the side; measured when the board has another size. */
export function Leaders({ board, map, active, halves }: Props) {
  const [leaders, setLeaders] = useState<readonly Leader[]>([]);
  useEffect(() => {
    const box = board.current;
    if (!box) return undefined;
    const measure = () => setLeaders(measured(box, map));
    const observer = new ResizeObserver(measure);
    observer.observe(box);
    return () => observer.disconnect();
  }, [board, map, halves]);
  return (
    <svg className={styles.leaders} aria-hidden>
      {leaders.map(({ zone, points, end }) => (
        <g key={zone} data-here={zone === active || undefined}>
          <polyline points={points} />
          <circle cx={end[0]} cy={end[1]} r={3} />
        </g>
      ))}
    </svg>
  );
}

/** How far a line runs on from its column before it turns to the side. */
const RUN = 8;

function measured(box: HTMLElement, map: SideMap): Leader[] {
  const drawn = [...box.querySelectorAll('svg[role="group"]')].map((svg) => svg.getBoundingClientRect());
  const [first] = drawn;
  if (!first) return [];
  const around = box.getBoundingClientRect();
  const frame = frameOf(map);
  return [...box.querySelectorAll<HTMLElement>('[data-zone]')].flatMap((group) => {
    const zone = group.dataset.zone!;
    const rule = group.getBoundingClientRect();
    const isLeft = rule.left < first.left;
    const drawing = isLeft ? first : drawn.at(-1)!;
    const hung = drawing === first ? map : mirroredMap(map);
    const label = hung.labels[zone];
    if (!label) return [];
    const from = (isLeft ? rule.right : rule.left) - around.left;
    const y = rule.top - around.top + 0.5;
    const turn = from + (isLeft ? RUN : -RUN);
    // The end stands beside the word of the zone, not on it, and within the zone.
    const [near, , wide] = zoneBox(hung, zone);
    const beside = label[0] + (isLeft ? -BESIDE : BESIDE);
    const within = Math.min(Math.max(beside, near + MARGIN), near + wide - MARGIN);
    const end = placeIn(drawing, { frame, around, at: [within, label[1]] });
    return [{ zone, points: `${from},${y} ${turn},${y} ${end.join()}`, end }];
  });
}

type Placed = {
  readonly frame: ReturnType<typeof frameOf>;
  readonly around: DOMRect;
  readonly at: readonly [number, number];
};

/** A point of the map as it lies in a drawing, in pixels of the board. */
function placeIn(drawing: DOMRect, { frame, around, at: [x, y] }: Placed): [number, number] {
  const [left, top, width, height] = frame;
  const scale = Math.min(drawing.width / width, drawing.height / height);
  return [
    drawing.left + (drawing.width - scale * width) / 2 + (x - left) * scale - around.left,
    drawing.top + (drawing.height - scale * height) / 2 + (y - top) * scale - around.top,
  ];
}

/** Half of a word's width, in units of the map. */
const BESIDE = 26;
const MARGIN = 5;
