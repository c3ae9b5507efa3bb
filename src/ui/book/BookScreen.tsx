'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { OrderDocument } from '@/core/order/document';
import type { Failure } from '@/core/quantity/result';
import type { BookingView } from '@/server/book';
import type { TicketPage } from '@/server/rail';
import { useLive } from '../kit/live/useLive';
import { Coming, Nothing } from '../kit/States';
import { useAsk } from '../kit/useAsk';
import { Tickets } from '../rail/TicketList';
import styles from './BookScreen.module.css';

const BookingForm = dynamic(() => import('./BookingForm').then((module) => module.BookingForm), {
  ssr: false,
  loading: () => <Coming words="Loading the booking form" rows={12} />,
});
const ImportFile = dynamic(() => import('./ImportFile').then((module) => module.ImportFile), { ssr: false });

type Props = { booked: TicketPage } & BookingView;

/** Taking an animal in: the form on one side, the open order file on the other, and what is booked. */
export function BookScreen({ booked: first, unit, species }: Props) {
  const { value: waiting } = useLive('stageView', { stage: 'book', page: 0 }, first);
  const { ask, busy, refusal } = useAsk('bookOrder');
  const [booked, setBooked] = useState('');
  const [isFile, setIsFile] = useState(false);

  async function book(document: unknown, fromFile = false): Promise<boolean> {
    setIsFile(fromFile);
    const answer = await ask({ document });
    setBooked(answer.ok ? `${(document as OrderDocument).animal.tag} is booked.` : '');
    return answer.ok;
  }

  return (
    <div className={styles.page}>
      <section className={styles.form}>
        <h1>Book an animal in</h1>
        <BookingForm
          unit={unit}
          species={species}
          busy={busy}
          onBook={(document) => book(document)}
          problem={isFile ? null : refusal}
        />
      </section>
      <section>
        <h2>Or read an order file</h2>
        <ImportFile onImport={(document) => book(document, true)} />
        <div role="status" className={styles.done}>
          {booked}
        </div>
        <Problems failure={refusal} isFile={isFile} />
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

/** What is wrong with a file, with the place in it; what is wrong in the form stands on its fields, and here once. */
function Problems({ failure, isFile }: { failure: Failure<string> | null; isFile: boolean }) {
  if (!failure) return null;
  const problems = failure.problems ?? [{ field: failure.field ?? '', message: failure.message }];
  const shown = isFile
    ? problems
    : problems.filter(({ message }, at) => problems.findIndex((each) => each.message === message) === at);
  return (
    <div role="alert" className={styles.problems}>
      <b>Nothing was booked. {problems.length > 1 ? `${problems.length} things to mend:` : ''}</b>
      <ul>
        {shown.map((problem, index) => (
          <li key={index}>
            {isFile && problem.field !== '' && <code>{problem.field.replace(/^document\./, '')}</code>}{' '}
            {problem.message}
          </li>
        ))}
      </ul>
    </div>
  );
}
