'use client';

import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { standOpen } from '../kit/keys/scopes';
import styles from './NothingMore.module.css';

export type Choice = { readonly id: string; readonly words: string };

type Props = {
  /** As it is heard. */
  label: string;
  title: string;
  choices: readonly Choice[];
  onChoose: (id: string) => void;
  onClose: () => void;
};

/** So many fit the smallest screen of the floor. */
const ONE_BELOW_THE_OTHER = 5;

/** One of a few, over the whole station: one big target each, chosen by its digit. */
export function Choose({ label, title, choices, onChoose, onClose }: Props) {
  useHotkeys('1,2,3,4,5,6,7,8,9', ({ key }) => {
    const chosen = choices[Number(key) - 1];
    if (chosen) onChoose(chosen.id);
  });
  useHotkeys('escape', onClose);
  useEffect(standOpen, []);
  return (
    <div
      className={styles.cover}
      data-many={choices.length > ONE_BELOW_THE_OTHER || undefined}
      role="dialog"
      aria-modal
      aria-label={label}
    >
      <h2>{title}</h2>
      {choices.map(({ id, words }, index) => (
        <button key={id} type="button" onClick={() => onChoose(id)}>
          {index < 9 && <kbd>{index + 1}</kbd>} {words}
        </button>
      ))}
      <button type="button" onClick={onClose}>
        <kbd>Esc</kbd> back
      </button>
    </div>
  );
}
