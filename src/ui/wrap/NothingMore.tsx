'use client';

import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { standOpen } from '../kit/keys/scopes';
import styles from './NothingMore.module.css';

const REASONS = [
  'All of it is packed; the count came out otherwise',
  'A piece was condemned',
  'Went into the grind instead',
  'The customer took it fresh, before packing',
  'Not found; tell the counter',
] as const;

type Props = { title: string; onReason: (note: string) => void; onClose: () => void };

/** Why nothing more is to come of a cut: one big target each. */
export function NothingMore({ title, onReason, onClose }: Props) {
  useHotkeys('1,2,3,4,5', (event) => onReason(REASONS[Number(event.key) - 1]!));
  useHotkeys('escape', onClose);
  useEffect(standOpen, []);
  return (
    <div className={styles.cover} role="dialog" aria-modal aria-label={`Nothing more of ${title}`}>
      <h2>{title}: why is nothing more to come?</h2>
      {REASONS.map((reason, index) => (
        <button key={reason} type="button" onClick={() => onReason(reason)}>
          <kbd>{index + 1}</kbd> {reason}
        </button>
      ))}
      <button type="button" onClick={onClose}>
        <kbd>Esc</kbd> back
      </button>
    </div>
  );
}
