'use client';

import { Button, Input } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './Learnt.module.css';

/** The owner leaves a finished share out of what the shop learns from, with the reason, or takes it in again. */
export function LeaveOut({ shareId, isLeftOut }: { shareId: string; isLeftOut: boolean }) {
  const { ask, busy, refusal } = useAsk('leaveOut');
  const [reason, setReason] = useState('');
  const router = useRouter();
  const say = async (leftOut: boolean) => {
    const answer = await ask({ shareId: shareId as never, leftOut, reason: leftOut ? reason : '' });
    if (answer.ok) router.refresh();
  };
  if (isLeftOut) {
    return (
      <p className={styles.leave}>
        The shop does not learn from this one.{' '}
        <Button size="small" loading={busy} onClick={() => void say(false)}>
          Take it in again
        </Button>
      </p>
    );
  }
  return (
    <div className={styles.leave}>
      <label>
        Leave it out of the learning, because
        <Input
          value={reason}
          maxLength={300}
          placeholder="the scale was off that day"
          onChange={({ target }) => setReason(target.value)}
        />
      </label>
      <Button disabled={reason.trim() === ''} loading={busy} onClick={() => void say(true)}>
        Leave it out
      </Button>
      <Note failure={refusal} />
    </div>
  );
}
