import { dayWords, daysAfter, daysBetween, type Day } from '@/core/time/shopTime';
import { formatWeight } from '@/core/quantity/weight';
import type { PieceAtSmoke, SmokeView } from '@/server/smoke';
import { SidePatterns } from '../kit/SidePatterns';
import styles from './CureRail.module.css';
import { PieceShape } from './PieceShape';
import { isDue, standingWords, weightsOf } from './words';

/** A day further off than this is behind a break of the rail. */
const IN_SIGHT = 14;

type Props = {
  view: SmokeView;
  inHand: PieceAtSmoke | undefined;
  onPick: (piece: PieceAtSmoke) => void;
  /** What comes next for the piece in hand: Enter on it does it. */
  onAct: () => void;
};

/** A stretch of the rail: a day with what hangs under it, or days under which nothing hangs. */
type Stretch =
  | { readonly kind: 'day'; readonly day: Day; readonly pieces: readonly PieceAtSmoke[] }
  | { readonly kind: 'empty'; readonly days: number; readonly isBreak: boolean };

/** Time is a rail: each piece hangs under the day on which it comes out of its cure; what is due hangs under today. */
export function CureRail({ view, inHand, onPick, onAct }: Props) {
  const stretches = stretchesOf(view);
  return (
    <div className={styles.rail} role="group" aria-label="Pieces by the day they come out">
      <svg width="0" height="0" className={styles.defs} aria-hidden>
        <SidePatterns />
      </svg>
      {stretches.map((stretch, at) =>
        stretch.kind === 'empty' ? (
          <div key={`empty ${at}`} className={styles.empty} data-break={stretch.isBreak || undefined}>
            {Array.from({ length: stretch.isBreak ? 0 : stretch.days }, (_, index) => (
              <i key={index} />
            ))}
          </div>
        ) : (
          <section
            key={stretch.day}
            className={styles.day}
            data-today={stretch.day === view.today || undefined}
            aria-label={stretch.day === view.today ? 'Due now' : dayWords(stretch.day)}
          >
            <h3>{stretch.day === view.today ? 'now' : dayWords(stretch.day)}</h3>
            <div className={styles.pieces}>
              {stretch.pieces.map((piece) => (
                <Piece
                  key={piece.id}
                  piece={piece}
                  view={view}
                  isInHand={piece.id === inHand?.id}
                  onPick={() => onPick(piece)}
                  onAct={onAct}
                />
              ))}
              {stretch.pieces.length === 0 && <p className="quiet">Nothing is due.</p>}
            </div>
          </section>
        ),
      )}
    </div>
  );
}

function Piece({
  piece,
  view,
  isInHand,
  onPick,
  onAct,
}: {
  piece: PieceAtSmoke;
  view: SmokeView;
  isInHand: boolean;
  onPick: () => void;
  onAct: () => void;
}) {
  const late = piece.cure && !piece.cure.out && piece.cure.day > piece.cure.days;
  return (
    <button
      type="button"
      className={styles.piece}
      aria-pressed={isInHand}
      data-held={piece.next === 'held' || undefined}
      data-late={late || undefined}
      onClick={onPick}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || !isInHand) return;
        event.preventDefault();
        onAct();
      }}
    >
      <PieceShape piece={piece} shape={view.shapes[`${piece.species}/${piece.zone}`]} />
      <span>
        <b>{piece.name.split(',')[0]}</b>
        <span className={styles.standing}>
          {standingWords(piece)}
          {late && `, ${piece.cure!.day - piece.cure!.days} late`}
        </span>
        {inShort(piece).map(({ words, net, about }) => (
          <span key={words} className={styles.weight}>
            <b>
              {about && '≈ '}
              {formatWeight(net, about ? 1 : view.unit)}
            </b>{' '}
            {words}
          </span>
        ))}
      </span>
    </button>
  );
}

/** Green, what it weighed last, and what is expected: all of them stand with the piece in hand. */
function inShort(piece: PieceAtSmoke): ReturnType<typeof weightsOf> {
  const weights = weightsOf(piece);
  return weights.length <= 3 ? weights : [weights[0]!, ...weights.slice(-2)];
}

/** Today first, then each day under which something hangs; the days between are ticks, many of them a break. */
function stretchesOf({ pieces, today }: SmokeView): Stretch[] {
  const now = pieces.filter(isDue);
  const lying = pieces.filter(({ next }) => next === 'lie');
  const days = [...new Set(lying.map(({ cure }) => cure!.due))].filter((day) => day > today).sort();
  const stretches: Stretch[] = [{ kind: 'day', day: today, pieces: now }];
  let last = today;
  for (const day of days) {
    const between = daysBetween(last, day) - 1;
    if (between > 0) stretches.push({ kind: 'empty', days: between, isBreak: between > IN_SIGHT });
    stretches.push({ kind: 'day', day, pieces: lying.filter(({ cure }) => cure!.due === day) });
    last = day;
  }
  if (last < daysAfter(today, 7)) {
    stretches.push({ kind: 'empty', days: daysBetween(last, daysAfter(today, 7)), isBreak: false });
  }
  return stretches;
}
