'use client';

import { useState } from 'react';
import type { HouseholdSheet } from '@/server/links';
import { newClientId } from '../kit/act';
import type { SheetState } from '../sheet/useSheet';
import { askByLink } from './byLink';
import styles from './Mine.module.css';
import { RingUs } from './RingUs';

type Props = { token: string; mine: HouseholdSheet; state: SheetState; onChange: () => void };

/** The way of a household's sheet to the shop. */
export function SendToShop({ token, mine, state, onChange }: Props) {
  const [sent, setSent] = useState(mine.sent ?? '');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  async function send() {
    setBusy(true);
    setProblem('');
    await state.saver.flush();
    const answer = await askByLink(token, 'sendSheet', {
      clientId: newClientId(),
      shareId: mine.shareId,
      version: state.saver.version.get(),
    });
    setBusy(false);
    if (answer.ok) setSent(answer.value.at);
    else setProblem(answer.message);
  }
  if (mine.sheet.locked) return null;
  return (
    <>
      <div className={styles.ending}>
        <p className="quiet">
          You can change it until {mine.days.sheetBy}. If something cannot be done, we ring you first.{' '}
          <RingUs shop={mine.shop} />
        </p>
        {problem !== '' && (
          <p className="alarm" role="alert">
            {problem}
          </p>
        )}
        {sent !== '' && (
          <p role="status">Sent to the shop {sent}. We read it over and ring you if we must.</p>
        )}
      </div>
      <footer className={styles.bar}>
        <button type="button" className={styles.main} disabled={busy} onClick={() => void send()}>
          {sent === '' ? 'Send it to the shop' : 'Send it again'}
        </button>
        <button type="button" className={styles.second} onClick={onChange}>
          Change something first
        </button>
      </footer>
    </>
  );
}
