'use client';

import Link from 'next/link';
import { useState } from 'react';
import { formatWeight } from '@/core/quantity/weight';
import type { WrapView } from '@/server/wrap';
import { useAsk } from '../kit/useAsk';
import styles from './BeforeTheBlock.module.css';

type Shown =
  'shareId' | 'name' | 'about' | 'instructions' | 'unit' | 'cold' | 'cautions' | 'whyNotReady' | 'chilling';

type Props = {
  view: Pick<WrapView, Shown>;
  /** Where one comes from. */
  back: '/wrap' | '/block';
  onStarted: () => Promise<void>;
};

/** A share that is not on the block yet: what is missing, or the one big action. */
export function BeforeTheBlock({ view, back, onStarted }: Props) {
  const isReady = view.whyNotReady === '';
  const [asksWhy, setAsksWhy] = useState(view.chilling);
  const [reason, setReason] = useState('');
  const { ask, busy, refusal } = useAsk('startBlock');
  async function start() {
    const result = await ask({ shareId: view.shareId, reason: reason.trim() });
    if (result.ok) return onStarted();
    setAsksWhy(asksWhy || result.field === 'reason');
  }
  return (
    <main className={styles.before} data-ground="floor">
      <Link href={back} className={styles.home} aria-label="Back to the rail">
        ‹ rail
      </Link>
      <h1>{view.name}</h1>
      <p className={styles.about}>{view.about}</p>
      {view.instructions !== '' && <p className={styles.words}>Read: {view.instructions}</p>}
      <p className={styles.coldWeight}>
        {formatWeight(view.cold, view.unit)} <small>{view.unit} cold</small>
      </p>
      <ul>
        {view.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <p role="alert" className={styles.problem}>
        {refusal?.message ||
          view.whyNotReady ||
          (view.chilling ? 'Still chilling: not to the block without a reason.' : '')}
      </p>
      {asksWhy && isReady && (
        <label className={styles.why}>
          Why it goes to the block now
          <input value={reason} maxLength={200} onChange={(event) => setReason(event.target.value)} />
        </label>
      )}
      <button
        type="button"
        className={styles.start}
        disabled={!isReady || busy}
        autoFocus
        onClick={() => void start()}
      >
        Take to the block
      </button>
    </main>
  );
}
