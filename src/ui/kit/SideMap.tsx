'use client';

import type { KeyboardEvent } from 'react';
import { frameOf, zonePath } from '@/core/species/sideMapPath';
import { DESTINATION_WORDS, type Destination, type SideMap as MapData } from '@/core/species/types';
import { SidePatterns } from './SidePatterns';
import styles from './SideMap.module.css';

type Props = {
  map: MapData;
  /** Where each zone goes, in the order of the map's zones, apart by commas; empty while it is not answered. */
  destinations: string;
  describe: (zone: string) => string;
  active: string | undefined;
  onChoose: (zone: string) => void;
  onPoint: (zone: string | undefined) => void;
};

/** The hanging side, hind up, drawn from data and coloured by where each zone goes. */
export function SideMap({ map, destinations, describe, active, onChoose, onPoint }: Props) {
  const [left, top, width, height] = frameOf(map);
  const zones = Object.keys(map.zones);
  const said = destinations.split(',');
  const destinationOf = (zone: string) => (said[zones.indexOf(zone)] || undefined) as Destination | undefined;
  const shown = [...zones.filter((zone) => zone !== active), ...zones.filter((zone) => zone === active)];
  return (
    <svg
      viewBox={`${left} ${top} ${width} ${height}`}
      className={styles.map}
      role="group"
      aria-label="Hanging side, hind leg up"
    >
      <SidePatterns />
      {shown.map((zone) => {
        const destination = destinationOf(zone);
        return (
          <path
            key={zone}
            d={zonePath(map, zone)}
            className={`${styles.zone} ${zone === active ? styles.active : ''}`}
            fill={destination ? `url(#side-${destination})` : 'transparent'}
            strokeDasharray={destination ? undefined : '5 4'}
            data-open={destination ? undefined : 'true'}
            role="button"
            tabIndex={0}
            aria-label={`${zone}: ${destination ? DESTINATION_WORDS[destination] : 'not answered'}. ${describe(zone)}`}
            onClick={() => onChoose(zone)}
            onMouseEnter={() => onPoint(zone)}
            onMouseLeave={() => onPoint(undefined)}
            onFocus={() => onPoint(zone)}
            onBlur={() => onPoint(undefined)}
            onKeyDown={(event: KeyboardEvent) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              onChoose(zone);
            }}
          />
        );
      })}
      {zones.map((zone) => (
        <Label key={zone} zone={zone} at={map.labels[zone]!} dark={isPale(destinationOf(zone))} />
      ))}
    </svg>
  );
}

/** Ink on these grounds is dark; on the others it is paper. */
function isPale(destination: Destination | undefined): boolean {
  return destination === undefined || ['bones', 'cured', 'lost', 'grind'].includes(destination);
}

/** A word too long for its zone is broken between words. */
const LONGEST_LABEL = 8;

function Label({ zone, at: [x, y], dark }: { zone: string; at: readonly [number, number]; dark: boolean }) {
  const words = zone.replace(' and spare rib', ', rib').split(' ');
  const lines = zone.length > LONGEST_LABEL ? words : [words.join(' ')];
  return (
    <text className={dark ? styles.darkLabel : styles.label} x={x} y={y - (lines.length - 1) * 8} aria-hidden>
      {lines.map((line, index) => (
        <tspan key={line} x={x} dy={index === 0 ? 5 : 16}>
          {line}
        </tspan>
      ))}
    </text>
  );
}
