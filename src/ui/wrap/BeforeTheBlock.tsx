'use client';

import Link from 'next/link';
import { useState } from 'react';
import { formatWeight } from '@/core/quantity/weight';
import type { WrapView } from '@/server/views/wrapView';
import { act } from '../act';
import styles from './BeforeTheBlock.module.css';

/** A share that is not on the block yet: what is missing, or the one big action. */
export function BeforeTheBlock({ view, onStarted }: { view: WrapView; onStarted: () => Promise<void> }) {
  const [problem, setProblem] = useState('');
  async function start() {
    const result = await act('startBlock', { shareId: view.shareId });
    if (!result.ok) return setProblem(result.message);
    await onStarted();
  }
  return (
    <main className={styles.before} data-ground="floor">
      <Link href="/wrap" className={styles.home} aria-label="Back to the rail">
        ‹ rail
      </Link>
      <h1>{view.name}</h1>
      <p className={styles.about}>{view.about}</p>
      {view.instructions !== '' && <p className={styles.words}>Read: {view.instructions}</p>}
      <p className={styles.coldWeight}>
        {formatWeight(view.cold)} <small>{view.unit} cold</small>
      </p>
      <ul>
        {view.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <p role="alert" className={styles.problem}>
        {problem || view.whyNotReady}
      </p>
      <button type="button" className={styles.start} disabled={!view.ready} onClick={() => void start()}>
        Take to the block
      </button>
    </main>
  );
}
