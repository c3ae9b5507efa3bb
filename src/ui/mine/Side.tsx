'use client';

import { zoneDestination } from '@/core/questions/zones';
import { frameOf, zonePath } from '@/core/species/sideMapPath';
import { DESTINATION_WORDS } from '@/core/species/types';
import { SidePatterns } from '../kit/SidePatterns';
import type { SheetState } from '../sheet/useSheet';
import styles from './Mine.module.css';

type Props = { state: SheetState; onZone: (zone: string) => void };

/**
 * The side with the words of its places, filled with where each goes and dashed where nothing is said yet; a touch leads
 * to what is asked there.
 */
export function Side({ state: { situation, sheet, now }, onZone }: Props) {
  const { species } = situation;
  const map = species.sideMap;
  const answered = { species, sheet, expected: now.forecast };
  return (
    <svg viewBox={frameOf(map).join(' ')} className={styles.outline} role="group" aria-label="Your side">
      <SidePatterns />
      {Object.keys(map.zones).map((zone) => {
        const destination = zoneDestination(answered, zone);
        return (
          <path
            key={zone}
            d={zonePath(map, zone)}
            style={destination && { fill: `url(#side-${destination})` }}
            strokeDasharray={destination ? undefined : '8 6'}
            role="button"
            tabIndex={0}
            aria-label={`${zone}, ${destination ? DESTINATION_WORDS[destination] : 'nothing said yet'}`}
            onClick={() => onZone(zone)}
            onKeyDown={(event) => event.key === 'Enter' && onZone(zone)}
          />
        );
      })}
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
