'use client';

import { Fragment, useId, type KeyboardEvent } from 'react';
import { frameOf, zoneBox, zonePath } from '@/core/species/sideMapPath';
import { DESTINATION_WORDS, type Destination, type SideMap as MapData } from '@/core/species/types';
import { SidePatterns } from './SidePatterns';
import styles from './SideMap.module.css';

type Props = {
  map: MapData;
  /**
   * Where each zone goes, in the order of the map's zones, apart by commas; empty while it is not answered. A zone whose
   * parts go different ways says each with its share of the zone: `steaks:0.8+roasts:0.2`.
   */
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
  const partsOf = (zone: string) => readParts(said[zones.indexOf(zone)] ?? '');
  const destinationOf = (zone: string) => largestOf(partsOf(zone));
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
        const parts = partsOf(zone);
        const destination = largestOf(parts);
        const isOpen = parts.some((part) => part.destination === undefined);
        const isAlike = parts.every((part) => part.destination === parts[0]?.destination);
        const path = zonePath(map, zone);
        return (
          <Fragment key={zone}>
            {!isAlike && <Parts map={map} zone={zone} path={path} parts={parts} />}
            <path
              d={path}
              className={`${styles.zone} ${zone === active ? styles.active : ''}`}
              fill={isAlike && destination ? `url(#side-${destination})` : 'transparent'}
              strokeDasharray={isOpen ? '5 4' : undefined}
              data-open={isOpen || undefined}
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
          </Fragment>
        );
      })}
      {zones.map((zone) => (
        <Label key={zone} zone={zone} at={map.labels[zone]!} dark={isPale(destinationOf(zone))} />
      ))}
    </svg>
  );
}

/** A part of a zone, and where it goes; undefined while it is not answered. */
type Part = { readonly destination: Destination | undefined; readonly share: number };

function readParts(said: string): Part[] {
  return said.split('+').map((part) => {
    const [destination = '', share = '1'] = part.split(':');
    return { destination: (destination || undefined) as Destination | undefined, share: Number(share) };
  });
}

function largestOf(parts: readonly Part[]): Destination | undefined {
  return [...parts].sort((a, b) => b.share - a.share)[0]?.destination;
}

type PartsProps = { map: MapData; zone: string; path: string; parts: readonly Part[] };

/** The parts of a zone that go different ways: slices across it, each as large as its share. */
function Parts({ map, zone, path, parts }: PartsProps) {
  const [left, top, width, height] = zoneBox(map, zone);
  const clip = useId();
  const isTall = height > width;
  return (
    <g clipPath={`url(#${clip})`}>
      <clipPath id={clip}>
        <path d={path} />
      </clipPath>
      {parts.map(({ destination, share }, index) => {
        const from = parts.slice(0, index).reduce((sum, part) => sum + part.share, 0);
        const place = isTall
          ? { x: left, y: top + from * height, width, height: share * height }
          : {
              x: left + (map.mirrored ? 1 - from - share : from) * width,
              y: top,
              width: share * width,
              height,
            };
        return (
          <rect
            key={index}
            {...place}
            className={styles.part}
            fill={destination ? `url(#side-${destination})` : 'transparent'}
          />
        );
      })}
    </g>
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
