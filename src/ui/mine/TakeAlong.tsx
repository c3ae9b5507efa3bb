'use client';

import isDeepEqual from 'fast-deep-equal';
import { useState } from 'react';
import type { OutputOf } from '@/server/useCases';
import type { TrySheet } from '@/server/links';
import { newClientId, postTo } from '../kit/act';
import type { SheetState } from '../sheet/useSheet';
import { writeTry, type KeptTry } from './keptTry';
import styles from './Mine.module.css';
import { RingUs } from './RingUs';

const AWAY = 'There is no network just now. What you chose stays on this telephone; try again in a moment.';

type Props = { tried: TrySheet; state: SheetState; kept: KeptTry['taken'] };

/** A tried sheet taken along: the shop keeps it under a code, which is said when booking. */
export function TakeAlong({ tried, state, kept }: Props) {
  const [taken, setTaken] = useState(kept);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const { sheet } = state;
  const { id } = tried.sheet.species;
  async function take() {
    setBusy(true);
    setProblem('');
    const answer = await postTo<OutputOf<'keepTriedSheet'>>(
      '/api/open/keepTriedSheet',
      { clientId: newClientId(), species: id, sides: tried.sheet.sides, sheet },
      { offline: AWAY, noAnswer: AWAY },
    );
    setBusy(false);
    if (!answer.ok) {
      setProblem(answer.message);
      return;
    }
    const now = { ...answer.value, sheet };
    setTaken(now);
    writeTry(id, { sheet, taken: now });
  }
  const isSame = taken !== null && isDeepEqual(taken.sheet, sheet);
  return (
    <>
      <div className={styles.ending}>
        {taken && (
          <div role="status">
            <p className={styles.code}>{taken.code}</p>
            <p>
              {isSame
                ? `Say this when you book, and your sheet is there. We keep it until ${taken.until}.`
                : 'This is your sheet as it was before you changed it. Take it along anew.'}{' '}
              <RingUs shop={tried.shop} />
            </p>
          </div>
        )}
        {problem !== '' && (
          <p className="alarm" role="alert">
            {problem}
          </p>
        )}
      </div>
      {!isSame && (
        <footer className={styles.bar}>
          <p className="quiet">
            A usual animal: yours will weigh what it weighs, and costs by its weight. You can change all of it
            later.
          </p>
          <button type="button" className={styles.main} disabled={busy} onClick={() => void take()}>
            Take it along
          </button>
        </footer>
      )}
    </>
  );
}
