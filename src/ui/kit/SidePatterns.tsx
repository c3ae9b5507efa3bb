import type { ReactNode } from 'react';
import type { Destination } from '@/core/species/types';

/** Each destination's ground with its second mark, for areas of the drawing. */
export function SidePatterns() {
  const pattern = (id: Destination, size: number, colour: string, mark?: ReactNode, turn = 0) => (
    <pattern
      id={`side-${id}`}
      width={size}
      height={size}
      patternUnits="userSpaceOnUse"
      patternTransform={turn ? `rotate(${turn})` : undefined}
    >
      <rect width={size} height={size} fill={colour} />
      {mark}
    </pattern>
  );
  return (
    <defs>
      {pattern('steaks', 8, 'var(--steaks)')}
      {pattern('roasts', 8, 'var(--roasts)')}
      {pattern('offal', 8, 'var(--offal)')}
      {pattern('grind', 7, 'var(--grind)', <rect width="2" height="7" fill="var(--grind-line)" />, 45)}
      {pattern(
        'cured',
        9,
        'var(--cured)',
        <path d="M0 0L9 9M9 0L0 9" stroke="var(--ink)" strokeOpacity="0.25" strokeWidth="1" />,
      )}
      {pattern('bones', 7, 'var(--bones)', <circle cx="3" cy="3" r="1.2" fill="var(--paper)" />)}
      {pattern('lost', 8, 'var(--lost)', <rect width="3" height="8" fill="var(--lost-line)" />, 45)}
    </defs>
  );
}
