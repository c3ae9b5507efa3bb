import type { ReactNode } from 'react';
import styles from './SetUp.module.css';

type Props = { pressed: boolean; onPress: () => void; disabled?: boolean; children: ReactNode };

/** A word that is pressed or not: one of several, or yes and no. */
export function Toggle({ pressed, onPress, disabled = false, children }: Props) {
  return (
    <button type="button" className={styles.day} aria-pressed={pressed} disabled={disabled} onClick={onPress}>
      {children}
    </button>
  );
}
