import styles from './GrindScreen.module.css';
import type { Over } from './Overlays';
import type { AtGrinder } from './useGrind';
import { canType } from './words';

type Props = { grinder: AtGrinder; mayDo: boolean; onOver: (over: Over) => void };

/** The keys of the station, each a target as well. */
export function GrindKeys({ grinder, mayDo, onOver: setOver }: Props) {
  const { job, act, last } = grinder;
  if (!job || !act) return null;
  const { batch } = job;
  return (
    <div className={styles.keys}>
      {mayDo && (
        <>
          <button type="button" disabled={!last} onClick={() => last && void grinder.again(last.name)}>
            <kbd>⌫</kbd> {last ? `${last.name} again` : 'weigh again'}
          </button>
          <button type="button" disabled={!batch} onClick={grinder.moreMeat}>
            <kbd>T</kbd> {grinder.wantsMeat ? 'enough meat' : 'more meat'}
          </button>
          {grinder.wantsMeat && (
            <button type="button" onClick={() => void grinder.meatBack()}>
              all of it back
            </button>
          )}
          <button type="button" disabled={!canType(act)} onClick={() => setOver('typed')}>
            <kbd>Y</kbd> type it
          </button>
          <button
            type="button"
            disabled={act.does !== 'weigh' || act.due.cures}
            onClick={() => setOver('otherwise')}
          >
            <kbd>D</kbd> otherwise
          </button>
          <button type="button" disabled={act.does !== 'weigh'} onClick={() => setOver('lot')}>
            <kbd>L</kbd> lot
          </button>
          <button type="button" disabled={!batch} onClick={() => setOver('hold')}>
            <kbd>H</kbd> {batch?.standing.held ? 'release' : 'hold'}
          </button>
        </>
      )}
      {mayDo && job.mayPool.length > 0 && (
        <button type="button" onClick={() => setOver('together')}>
          <kbd>P</kbd> together with another’s
        </button>
      )}
      <button type="button" onClick={() => setOver('order')}>
        <kbd>O</kbd> order of the day
      </button>
    </div>
  );
}
