'use client';

import { Button } from 'antd';
import Link from 'next/link';
import { dayWords } from '@/core/time/shopTime';
import type { PieceAtSmoke, SmokeView } from '@/server/smoke';
import { PpmBar } from './PpmBar';
import styles from './SmokeScreen.module.css';
import { cureWords, nextWords, weightsOf, weightWords } from './words';

type Props = {
  piece: PieceAtSmoke;
  view: SmokeView;
  mayDo: boolean;
  isOwner: boolean;
  busy: boolean;
  onAct: () => void;
  onTurned: () => void;
  onMove: () => void;
  onNote: () => void;
  onHold: () => void;
};

/** The piece in hand: what it weighed, what is in it, where it lies, and what comes next for it. */
export function InHand(props: Props) {
  const { piece, view, mayDo, isOwner, busy, onAct, onTurned, onMove, onNote, onHold } = props;
  const { cure, next } = piece;
  const isHeld = next === 'held';
  const canAct = mayDo && next !== 'lie' && next !== 'smoke' && (!isHeld || isOwner);
  return (
    <section className={styles.inHand} aria-label="The piece in hand">
      <div>
        <h2>
          <Link href={`/ticket/${piece.shareId}`}>{piece.name}</Link>
          <span className="quiet">
            {' '}
            {piece.cut.toLowerCase()}, {piece.tag}
          </span>
        </h2>
      </div>
      <p className={styles.weights}>
        {weightsOf(piece).map(({ words, net, about }) => (
          <span key={words}>
            <b>
              {about && '≈ '}
              {weightWords(net, view.unit)}
            </b>{' '}
            {words}
          </span>
        ))}
        {cure && <PpmBar ppm={cure.ppm} limit={cure.limit} />}
      </p>
      <div>
        <p className="quiet">
          {cure
            ? `${cureWords(piece)}. ${cure.out ? `Out ${dayWords(cure.out)}` : `Due out ${dayWords(cure.due)}`}${cure.turned > 0 ? `, turned ${cure.turned} times` : ''}.`
            : 'Green. What goes into it is mixed first, by its own weight or as a brine.'}
          {cure?.notes.map((words) => ` ${words}.`)}
        </p>
        {isHeld && <p className="alarm">{piece.waits || cure?.held}</p>}
      </div>
      {mayDo && (
        <div className={styles.acts}>
          {next === 'pack' ? (
            <Link className={styles.go} href={`/wrap/${piece.shareId}`}>
              {nextWords(piece)} <kbd>Enter</kbd>
            </Link>
          ) : (
            <Button type="primary" disabled={!canAct} loading={busy} onClick={onAct}>
              {nextWords(piece)} <kbd>Enter</kbd>
            </Button>
          )}
          {cure && !cure.out && (
            <>
              <Button onClick={onTurned}>
                Turned <kbd>T</kbd>
              </Button>
              <Button onClick={onMove}>
                Place <kbd>V</kbd>
              </Button>
            </>
          )}
          {cure && (
            <>
              <Button onClick={onNote}>
                Note <kbd>N</kbd>
              </Button>
              {(!cure.held || isOwner) && (
                <Button onClick={onHold}>
                  {cure.held ? 'Release' : 'Hold'} <kbd>H</kbd>
                </Button>
              )}
            </>
          )}
        </div>
      )}
    </section>
  );
}
