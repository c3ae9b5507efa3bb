'use client';

import { useLayoutEffect, useRef, useState } from 'react';
import styles from './BlockScreen.module.css';

/** Elements that the cut runs through: its line on the drawing, and the line between what stays and what comes off. */
export const CUT = 'data-cut';
export const PARTING = 'data-parting';

/** The cut runs through the meat and on through the screen: from the end of its line to what it parts. */
export function CutThrough({ of }: { of: string }) {
  const own = useRef<SVGSVGElement>(null);
  const [path, setPath] = useState('');
  useLayoutEffect(() => {
    const svg = own.current!;
    const draw = () => setPath(pathIn(svg.parentElement!));
    draw();
    const observer = new ResizeObserver(draw);
    observer.observe(svg.parentElement!);
    return () => observer.disconnect();
  }, [of]);
  return (
    <svg ref={own} className={styles.through} aria-hidden>
      <path d={path} />
    </svg>
  );
}

function pathIn(place: HTMLElement): string {
  const lines = [...place.querySelectorAll<SVGPathElement>(`[${CUT}] path`)].filter(
    (line) => line.getTotalLength() > 0,
  );
  const parting = place.querySelector(`[${PARTING}]`)?.getBoundingClientRect();
  const last = lines.at(-1);
  if (!last || !parting) return '';
  const within = place.getBoundingClientRect();
  const matrix = last.getScreenCTM()!;
  const ends = lines.flatMap((line) =>
    [0, line.getTotalLength()].map((at) => line.getPointAtLength(at).matrixTransform(matrix)),
  );
  const { x, y } = ends.reduce((right, end) => (end.x > right.x ? end : right));
  const [from, to] = [
    { x: x - within.x, y: y - within.y },
    { x: parting.x - within.x, y: parting.y + parting.height / 2 - within.y },
  ];
  const bend = (to.x - from.x) * 0.55;
  return `M${from.x} ${from.y}C${from.x + bend} ${from.y} ${to.x - bend} ${to.y} ${to.x} ${to.y}`;
}
