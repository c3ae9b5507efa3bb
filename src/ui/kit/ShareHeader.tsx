import type { ReactNode } from 'react';
import styles from './ShareHeader.module.css';

/** The head of a share's page: whose it is, what it is, and on the right what can be done. */
export function ShareHeader({ name, about, children }: { name: string; about: string; children: ReactNode }) {
  return (
    <header className={styles.header}>
      <h1>{name}</h1>
      <span className="quiet">{about}</span>
      <span className={styles.spacer} />
      {children}
    </header>
  );
}
