'use client';

import { Button, Input, Segmented } from 'antd';
import { useState } from 'react';
import { PAYMENT_METHODS, type PaymentMethod, type Settlement } from '@/core/order/settlement';
import { formatMoney } from '@/core/quantity/money';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './SettleScreen.module.css';

/** What is due, taking the payment, and handing over. */
export function Payments({ view }: { view: Settlement }) {
  const { due, paid, sign, people } = view;
  return (
    <div className={styles.money}>
      <p className={styles.due}>
        <span className={styles.big}>{formatMoney(due, sign)}</span>
        <span className="quiet">
          {due > 0 ? 'due' : due < 0 ? 'to give back' : 'paid in full'}
          {paid !== 0 && `, ${formatMoney(paid, sign)} paid`}
          {people.payer !== people.owner && `, by ${people.payer}`}
        </span>
      </p>
      {view.final && due > 0 && <Paying view={view} />}
      {view.pickUp ? (
        <p>
          Picked up by <b>{view.pickUp.takenBy}</b> on {view.pickUp.day}.
        </p>
      ) : (
        view.final && <HandingOver view={view} />
      )}
    </div>
  );
}

function Paying({ view: { shareId, due } }: { view: Settlement }) {
  const [method, setMethod] = useState<PaymentMethod>('card');
  const { ask, busy, refusal } = useAsk('takePayment');
  return (
    <>
      <div className={styles.actions}>
        <Segmented
          aria-label="How it is paid"
          value={method}
          onChange={setMethod}
          options={[...PAYMENT_METHODS]}
        />
        <Button type="primary" loading={busy} onClick={() => void ask({ shareId, amountCents: due, method })}>
          Paid
        </Button>
      </div>
      <Note failure={refusal} />
    </>
  );
}

function HandingOver({ view: { shareId, due, people } }: { view: Settlement }) {
  const [takenBy, setTakenBy] = useState(people.contact);
  const { ask, busy, refusal } = useAsk('handOver');
  const handOver = () => void ask({ shareId, takenBy });
  return (
    <>
      <div className={styles.actions}>
        <Input
          aria-label="Picked up by"
          value={takenBy}
          onChange={(event) => setTakenBy(event.target.value)}
          onPressEnter={handOver}
        />
        <Button type={due > 0 ? 'default' : 'primary'} loading={busy} onClick={handOver}>
          Picked up
        </Button>
      </div>
      <Note failure={refusal} />
    </>
  );
}
