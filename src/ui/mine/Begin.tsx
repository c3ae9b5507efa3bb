'use client';

import { counted } from '@/core/quantity/counted';
import styles from './Mine.module.css';
import type { FirstPage } from './SheetPages';

/** How much there is to choose, and the ways on. */
export function Begin({ page: { asked, open, at, onBegin, onUsual, onHome } }: { page: FirstPage }) {
  if (open === 0) {
    return (
      <button type="button" className={styles.main} onClick={onHome}>
        See what comes home
      </button>
    );
  }
  const isBegun = open < asked;
  return (
    <>
      <p>
        {counted(asked, 'choice')}, an evening’s worth. Stop when you like; we keep your place.
        {isBegun && ` ${counted(open, 'choice')} left.`}
      </p>
      <div>
        <button type="button" className={styles.main} onClick={onBegin}>
          {isBegun ? 'Go on' : 'Begin'} at the {at}
        </button>
        <button type="button" className={styles.second} onClick={onUsual}>
          {isBegun ? 'The rest the way you usually do' : 'Cut it the way you usually do'}
        </button>
      </div>
    </>
  );
}
