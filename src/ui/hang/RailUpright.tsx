import type { CSSProperties } from 'react';
import type { RailBoard, SideOnPlan } from '@/server/hang';
import styles from './RailUpright.module.css';

type Props = {
  board: RailBoard;
  open: SideOnPlan | undefined;
  onOpen: (side: SideOnPlan) => void;
};

/** How far a side stands off its rail that has hung as long as it should, pixels. */
const INDENT = 56;
const MOST = 1.7;

/** The rails upright, for a telephone: what is due first from the top, the further out the longer it hung. */
export function RailUpright({ board, open, onOpen }: Props) {
  const railOf = new Map(
    board.rails.flatMap(({ name, hung }) =>
      hung.map(({ id, from }) => [id, `${name}, foot ${Math.round(from)}`]),
    ),
  );
  return (
    <ol className={styles.upright} aria-label="The rails, due first">
      {board.sides.map((side) => (
        <li key={side.sideId}>
          <button
            type="button"
            aria-pressed={side.sideId === open?.sideId}
            style={{ '--out': `${outOf(side)}px` } as CSSProperties}
            onClick={() => onOpen(side)}
          >
            <span>
              <b>{side.tag}</b> {side.position}{' '}
              <b className={side.days > side.targetDays ? 'alarm' : undefined}>{side.days}</b> of{' '}
              {side.targetDays} days
            </span>
            <small>
              {[
                railOf.get(side.sideId) ?? 'no rail',
                side.weight && `${side.weight} ${board.unit}`,
                wordsOf(side),
              ]
                .filter(Boolean)
                .join(', ')}
            </small>
          </button>
        </li>
      ))}
    </ol>
  );
}

function outOf({ days, targetDays }: SideOnPlan): number {
  return 18 + INDENT * Math.min(MOST, days / Math.max(1, targetDays));
}

function wordsOf({ held, chilling, covered, waits, found }: SideOnPlan): string {
  return [
    held && `held: ${held}`,
    chilling && 'still chilling',
    covered && 'covered',
    waits,
    found > 0 && (found === 1 ? 'a finding' : `${found} findings`),
  ]
    .filter(Boolean)
    .join(', ');
}
