'use client';

import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { HAND_TASKS } from '@/core/block/handWork';
import type { BlockView } from '@/server/block';
import { standOpen } from '../kit/keys/scopes';
import { useAsk } from '../kit/useAsk';
import styles from './Over.module.css';

/** Who cut, boned and trimmed what is in hand: a name is pressed for each; the last word holds. */
export function WhoDid({ view, onClose }: { view: BlockView; onClose: () => void }) {
  const { ask, busy, refusal } = useAsk('sayWhoDid');
  useHotkeys('escape,p', onClose);
  useEffect(standOpen, []);
  return (
    <div className={styles.cover} role="dialog" aria-modal aria-label="Who did it">
      <header>
        <h2>
          {view.name}, {view.hands.find(({ id }) => id === view.hand)!.words}: who did it?
        </h2>
        <button type="button" onClick={onClose}>
          <kbd>Esc</kbd> back
        </button>
      </header>
      {HAND_TASKS.map((task) => (
        <section key={task} className={styles.task} aria-label={task}>
          <h3>{task}</h3>
          {view.people.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              disabled={busy}
              aria-pressed={view.who[task] === name}
              onClick={() => void ask({ shareId: view.shareId, hand: view.hand, task, personId: id })}
            >
              {name}
            </button>
          ))}
        </section>
      ))}
      {refusal && (
        <p role="alert" className={styles.refused}>
          {refusal.message}
        </p>
      )}
    </div>
  );
}
