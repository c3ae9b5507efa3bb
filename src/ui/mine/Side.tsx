'use client';

import { frameOf, zonePath } from '@/core/species/sideMapPath';
import type { SheetState } from '../sheet/useSheet';
import styles from './Mine.module.css';

type SideProps = { species: SheetState['situation']['species']; onZone: (zone: string) => void };

/** The side in outline with the words of its places; a touch leads to what is asked there. */
export function Side({ species, onZone }: SideProps) {
  const map = species.sideMap;
  return (
    <svg viewBox={frameOf(map).join(' ')} className={styles.outline} role="group" aria-label="Your side">
      {Object.keys(map.zones).map((zone) => (
        <path
          key={zone}
          d={zonePath(map, zone)}
          role="button"
          tabIndex={0}
          aria-label={zone}
          onClick={() => onZone(zone)}
          onKeyDown={(event) => event.key === 'Enter' && onZone(zone)}
        />
      ))}
      {Object.entries(map.labels).map(([zone, [x, y]]) => (
        <text key={zone} x={x} y={y} aria-hidden>
          {zone.split(' ').map((word, index) => (
            <tspan key={word} x={x} dy={index === 0 ? 0 : 17}>
              {word}
            </tspan>
          ))}
        </text>
      ))}
    </svg>
  );
}
