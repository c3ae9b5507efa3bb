import { formatWeight, sumWeights } from '@/core/quantity/weight';
import type { PieceAtBlock } from '@/server/block';
import styles from './PieceBar.module.css';
import type { AtBlock } from './useBlock';

/** The whole side to scale: what is weighed, the piece in hand with what it should weigh, what is to come. */
export function PieceBar({ block }: { block: AtBlock }) {
  const { view, toWeigh, scale, weigh, notice, step } = block;
  const cold = view.hands.find(({ id }) => id === view.hand)!.cold;
  const live = scale.reading && scale.reading.state !== 'empty' ? scale.reading : undefined;
  const isHere = ({ part }: PieceAtBlock) => step.part === 'both' || part === undefined || part === step.part;
  const shown = view.pieces.filter(isHere);
  const of = sumWeights(shown.map(({ expected }) => expected));
  const firsts = view.steps.filter(({ isFirstPull }) => isFirstPull);
  return (
    <section className={styles.bar} aria-label="Pieces weighed">
      <p className={styles.head}>
        {firsts.length > 0 && (
          <span className={styles.first}>
            first pull{' '}
            {firsts.map(({ id, title, doneAt }) => (
              <span key={id} data-done={doneAt !== ''}>
                {doneAt === '' ? '○' : '✓'} {title.toLowerCase()}
              </span>
            ))}
          </span>
        )}
        <span className={styles.notice} data-kind={notice?.kind} role="status">
          {notice?.words ?? (scale.away && step.weigh.length > 0 ? 'rail scale away' : '')}
        </span>
        <span className={styles.left}>
          <b>{formatWeight(view.left, 1)}</b> of {formatWeight(cold, 1)} {view.unit} left
        </span>
      </p>
      <ol>
        {shown.map((piece) => (
          <li
            key={piece.id}
            style={{ flexGrow: Math.max(piece.expected, of * LEAST_DRAWN) }}
            data-state={stateOf(piece, toWeigh)}
          >
            <button type="button" tabIndex={-1} disabled={!view.mayCut} onClick={() => void weigh(piece)}>
              <span>
                {piece.label}
                {piece.typed && ', typed'}
                {piece === toWeigh && `, ${formatWeight(piece.low, 0)} to ${formatWeight(piece.high, 0)}`}
              </span>
              <b data-moving={piece === toWeigh && live?.state === 'moving' ? true : undefined}>
                {figureOf(piece, piece === toWeigh ? live?.net : undefined)}
              </b>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** A piece is drawn at least this wide, as a share of the whole, so that its name can be read. */
const LEAST_DRAWN = 0.085;

function stateOf(piece: PieceAtBlock, toWeigh: PieceAtBlock | undefined): 'weighed' | 'in hand' | 'to come' {
  if (piece.weighed !== null) return 'weighed';
  return piece === toWeigh ? 'in hand' : 'to come';
}

function figureOf({ weighed, expected }: PieceAtBlock, live: number | undefined): string {
  if (weighed !== null) return formatWeight(weighed, 1);
  return live === undefined
    ? `≈${formatWeight(expected, expected < 100_000 ? 1 : 0)}`
    : (live / 1000).toFixed(1);
}
