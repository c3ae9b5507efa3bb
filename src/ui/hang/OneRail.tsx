import { frameOf, zonePath } from '@/core/species/sideMapPath';
import type { RailBoard, SideOnPlan } from '@/server/hang';
import styles from './RailPlan.module.css';

/** Units of the drawing to a foot of rail, and how long a string is that has hung as long as it should. */
const FOOT = 30;
const STRING = 34;
/** A string grows no longer than this many times the target. */
const LONGEST = 1.7;
const HEIGHTS: Readonly<Record<string, number>> = { Beef: 92, Bison: 92, Hog: 74 };
const SMALL = 58;
/** Below the lowest side stand its days and its weight. */
const WORDS = 44;

type RailProps = {
  rail: RailBoard['rails'][number];
  board: RailBoard;
  open: SideOnPlan | undefined;
  moving: boolean;
  onOpen: (side: SideOnPlan) => void;
  onPlace: (foot: number) => void;
};

/** One rail with its feet, and what hangs on it. */
export function OneRail({ rail, board, open, moving, onOpen, onPlace }: RailProps) {
  const byId = new Map(board.sides.map((side) => [side.sideId as string, side]));
  const hung = rail.hung.flatMap((place) => {
    const side = byId.get(place.id);
    return side ? [{ ...place, side }] : [];
  });
  const lowest = Math.max(40, ...hung.map(({ side }) => stringOf(side) + heightOf(side)));
  // All rails in one scale.
  const width = Math.max(...board.rails.map(({ feet }) => feet)) * FOOT;
  return (
    <div className={styles.rail}>
      <h2>
        {rail.name}{' '}
        <span>
          {rail.used.toFixed(1).replace(/\.0$/, '')} of {rail.feet} ft in use
        </span>
      </h2>
      <svg viewBox={`0 0 ${width} ${20 + lowest + WORDS}`} role="group" aria-label={rail.name}>
        <rect width={rail.feet * FOOT} height="15" className={styles.bar} />
        {Array.from({ length: Math.floor(rail.feet / 4) }, (_, index) => (
          <text key={index} x={(index + 1) * 4 * FOOT + 3} y="12" className={styles.foot}>
            {(index + 1) * 4}
          </text>
        ))}
        <line x1="0" x2={rail.feet * FOOT} y1={15 + STRING} y2={15 + STRING} className={styles.dueLine} />
        {moving &&
          Array.from({ length: Math.floor(rail.feet) }, (_, foot) => (
            <rect
              key={foot}
              x={foot * FOOT}
              width={FOOT}
              height={20 + lowest}
              className={styles.place}
              role="button"
              aria-label={`${rail.name}, foot ${foot}`}
              onClick={() => onPlace(foot)}
            />
          ))}
        {hung.map(({ id, from, feet, side }) => (
          <HangingSide
            key={id}
            side={side}
            map={board.maps[side.species]!}
            x={(from + feet / 2) * FOOT}
            isOpen={side.sideId === open?.sideId}
            isFirst={hung.find((each) => each.side.animalId === side.animalId)!.id === id}
            rests={moving}
            onOpen={() => onOpen(side)}
          />
        ))}
      </svg>
    </div>
  );
}

function stringOf({ days, targetDays }: SideOnPlan): number {
  return 6 + STRING * Math.min(LONGEST, targetDays > 0 ? days / targetDays : 1);
}

function heightOf({ species }: SideOnPlan): number {
  return HEIGHTS[species] ?? SMALL;
}

type SideProps = {
  side: SideOnPlan;
  map: RailBoard['maps'][string];
  x: number;
  isOpen: boolean;
  isFirst: boolean;
  /** Nothing is opened while a place is chosen. */
  rests: boolean;
  onOpen: () => void;
};

/** One side on its string: how long it hung is how low it hangs. */
function HangingSide({ side, map, x, isOpen, isFirst, rests, onOpen }: SideProps) {
  const [left, top, width, height] = frameOf(map);
  const tall = heightOf(side);
  const wide = (tall * width) / height;
  const y = 15 + stringOf(side);
  const about = `${side.tag} ${side.position}, ${side.who}: ${side.days} of ${side.targetDays} days, ${side.waits || 'the sheet stands'}`;
  return (
    <g
      role="button"
      tabIndex={-1}
      aria-label={about}
      className={styles.side}
      data-open={isOpen}
      data-rests={rests}
      onClick={onOpen}
    >
      <rect x={x - wide / 2 - 4} y="0" width={wide + 8} height={y + tall + WORDS} fill="transparent" />
      <line x1={x} x2={x} y1="8" y2={y + 2} className={styles.string} />
      <circle cx={x} cy="8" r="4.5" className={styles.hook} />
      <g
        transform={`translate(${x + (side.position === 'right' ? wide / 2 : -wide / 2)} ${y}) scale(${side.position === 'right' ? -1 : 1} 1) scale(${tall / height}) translate(${-left} ${-top})`}
      >
        {Object.keys(map.zones).map((zone) => {
          const destination = side.zones[zone];
          return (
            <path
              key={zone}
              d={zonePath(map, zone)}
              className={styles.zone}
              data-chilling={side.chilling}
              data-covered={side.covered}
              fill={destination ? `var(--${destination})` : 'var(--line)'}
            />
          );
        })}
      </g>
      {side.found > 0 && <circle cx={x} cy={y + tall * 0.55} r="6" className={styles.found} />}
      {isFirst && (
        <>
          <text x={x - wide / 2} y={y + tall + 15} className={styles.words}>
            <tspan className={side.days > side.targetDays ? styles.late : styles.days}>{side.days}</tspan> of{' '}
            {side.targetDays}
          </text>
          <text x={x - wide / 2} y={y + tall + 31} className={styles.tag}>
            {side.tag}
          </text>
        </>
      )}
    </g>
  );
}
