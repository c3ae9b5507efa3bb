'use client';

import { Button } from 'antd';
import { counted } from '@/core/quantity/counted';
import { useSignal } from '../kit/useSignal';
import { useWho } from '../kit/Who';
import styles from './OutboxMark.module.css';
import type { FloorName } from './outbox';
import { outbox, useSending } from './useOutbox';

const NOT_TAKEN: Readonly<Record<FloorName, string>> = {
  weigh: 'A weighing was not taken.',
  voidWeighing: 'A weighing was not taken back.',
  givePack: 'A pack was not given to the other share.',
  noteLine: 'That nothing more comes of a cut was not taken.',
  reprintLabel: 'A label was not printed again.',
  weighPiece: 'The weight of a piece was not taken.',
  takePieceBack: 'The weight of a piece was not taken back.',
  doOtherwise: 'What was done otherwise was not taken.',
  doOnRail: 'What was done on the rail was not taken.',
  weighSide: 'The weight of a side was not taken.',
  weighQuarter: 'The weight of a quarter was not taken.',
  noteLiveWeight: 'The weight of an animal alive was not taken.',
  noteFound: 'What was found on a side was not taken.',
  withdrawFound: 'A finding was not withdrawn.',
  markStep: 'A step at the block was not taken.',
  sayWhoDid: 'Who cut, boned or trimmed was not taken.',
  readNote: 'That the words were read was not taken.',
};

/**
 * What of this device has not reached the house: one's own on its way, what waits for somebody else to sign in, and
 * what the house would not take. Nothing when all is saved.
 */
export function OutboxMark() {
  useSending();
  const { id } = useWho();
  const waiting = useSignal(outbox.waiting);
  const kept = useSignal(outbox.kept);
  const aside = waiting.filter((each) => each.setAside !== '');
  const others = [...new Set(waiting.filter((each) => each.actor.id !== id).map((each) => each.actor.name))];
  if (aside.length === 0 && others.length === 0 && kept) return null;
  return (
    <div className={styles.mark} role="status">
      {!kept && (
        <p>
          <b>This device has no room left to keep what is done.</b> It is sent while this page stays open;
          tell the owner.
        </p>
      )}
      {others.map((name) => (
        <p key={name}>
          <b>
            Waiting here: {counted(waiting.filter((each) => each.actor.name === name).length, 'thing')} that{' '}
            {name} did.
          </b>{' '}
          It goes to the house when {name} signs in on this device.
        </p>
      ))}
      {aside.map(({ name, input, setAside }) => (
        <p key={input.clientId}>
          <b>{NOT_TAKEN[name]}</b> {setAside}{' '}
          <Button onClick={() => outbox.dismiss(input.clientId)}>I have seen it</Button>
        </p>
      ))}
    </div>
  );
}
