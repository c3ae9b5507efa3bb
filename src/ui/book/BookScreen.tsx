'use client';

import { useState } from 'react';
import type { OrderDocument } from '@/core/order/document';
import type { Failure } from '@/core/quantity/result';
import type { BookingView } from '@/server/book';
import type { TicketPage } from '@/server/rail';
import { useLive } from '../kit/live/useLive';
import { Nothing } from '../kit/States';
import { useAsk } from '../kit/useAsk';
import { Tickets } from '../rail/TicketList';
import { BookingForm } from './BookingForm';
import styles from './BookScreen.module.css';
import { ImportFile } from './ImportFile';

type Props = { booked: TicketPage } & BookingView;

/** Taking an animal in: the form on one side, the open order file on the other, and what is booked. */
export function BookScreen({ booked: first, unit, species }: Props) {
  const { value: waiting } = useLive('stageView', { stage: 'book', page: 0 }, first);
  const { ask, busy, refusal } = useAsk('bookOrder');
  const [booked, setBooked] = useState('');

  async function book(document: unknown): Promise<boolean> {
    const answer = await ask({ document });
    setBooked(answer.ok ? `${(document as OrderDocument).animal.tag} is booked.` : '');
    return answer.ok;
  }

  return (
    <div className={styles.page}>
      <section className={styles.form}>
        <h1>Book an animal in</h1>
        <BookingForm unit={unit} species={species} busy={busy} onBook={book} problem={refusal} />
      </section>
      <section>
        <h2>Or read an order file</h2>
        <ImportFile onImport={book} />
        <div role="status" className={styles.done}>
          {booked}
        </div>
        <Problems failure={refusal} />
        <h2 className={styles.waiting}>Booked, not on the rail yet</h2>
        {waiting.tickets.length === 0 ? (
          <Nothing>Nothing is booked. Fill in the form, or read an order file.</Nothing>
        ) : (
          <Tickets tickets={waiting.tickets} />
        )}
      </section>
    </div>
  );
}

/** Everything that is wrong, in one place: a file has no fields to stand on. */
function Problems({ failure }: { failure: Failure<string> | null }) {
  if (!failure) return null;
  const problems = failure.problems ?? [{ field: failure.field ?? '', message: failure.message }];
  return (
    <div role="alert" className={styles.problems}>
      <b>Nothing was booked. {problems.length > 1 ? `${problems.length} things to mend:` : ''}</b>
      <ul>
        {problems.map((problem, index) => (
          <li key={index}>{problem.message}</li>
        ))}
      </ul>
    </div>
  );
}
