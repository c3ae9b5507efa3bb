import type { ReactNode } from 'react';
import styles from './States.module.css';

/** Nothing is here, and what brings something here. */
export function Nothing({ children }: { children: ReactNode }) {
  return <p className={styles.nothing}>{children}</p>;
}

/** Something is on its way: its outline stands where it will be, so that nothing jumps. */
export function Coming({ rows = 4, words }: { rows?: number; words: string }) {
  return (
    <div role="status" aria-label={words} className={styles.coming}>
      {Array.from({ length: rows }, (_, row) => (
        <i key={row} />
      ))}
    </div>
  );
}

/** What could not be shown: what happened, what is safe, what to do. The rest of the page goes on. */
export function Failed({ words, onAgain }: { words: string; onAgain?: () => void }) {
  return (
    <p className={styles.setAside} role="alert">
      {words}{' '}
      {onAgain && (
        <button type="button" className={styles.again} onClick={onAgain}>
          Try again
        </button>
      )}
    </p>
  );
}

/** Something that cannot be worked out is set aside in red; everything else works. */
export function SetAside({ words }: { words: string }) {
  return (
    <p className={styles.setAside} role="alert">
      <b>Set aside.</b> {words} Everything else goes on; nothing of it is lost.
    </p>
  );
}

/** What is shown may be old: the network is away. */
export function Old({ words }: { words: string }) {
  return (
    <p className={styles.old} role="status">
      {words}
    </p>
  );
}
