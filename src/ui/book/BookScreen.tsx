'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { OrderDocument } from '@/core/order/document';
import type { Failure } from '@/core/quantity/result';
import type { WeighingUnit } from '@/core/quantity/weight';
import type { TicketPage } from '@/server/rail';
import { act, newClientId } from '../kit/act';
import { Tickets } from '../rail/TicketList';
import { BookingForm } from './BookingForm';
import type { BookableSpecies } from '@/server/book';
import styles from './BookScreen.module.css';
import { ImportFile } from './ImportFile';

type Props = { booked: TicketPage; unit: WeighingUnit; species: readonly BookableSpecies[] };

/** Taking an animal in: the form on one side, the open order file on the other, and what is booked. */
export function BookScreen({ booked: waiting, unit, species }: Props) {
  const router = useRouter();
  const [problem, setProblem] = useState<Failure | null>(null);
  const [booked, setBooked] = useState('');

  // The same document sent again is the same request; another one, after a lost answer, is not.
  const sent = useRef({ document: '', clientId: '' });

  async function book(document: unknown): Promise<boolean> {
    const words = JSON.stringify(document);
    if (sent.current.document !== words) sent.current = { document: words, clientId: newClientId() };
    const result = await act('bookOrder', { clientId: sent.current.clientId, document });
    if (!result.ok) {
      setProblem(result);
      setBooked('');
      return false;
    }
    setProblem(null);
    sent.current = { document: '', clientId: '' };
    setBooked(`${(document as OrderDocument).animal.tag} is booked.`);
    router.refresh();
    return true;
  }

  return (
    <div className={styles.page}>
      <section className={styles.form}>
        <h1>Book an animal in</h1>
        <BookingForm unit={unit} species={species} onBook={book} problem={problem} />
      </section>
      <section>
        <h2>Or read an order file</h2>
        <ImportFile onImport={book} />
        <div role="status" className={styles.done}>
          {booked}
        </div>
        <Problems failure={problem} />
        <h2 className={styles.waiting}>Booked, not on the rail yet</h2>
        {waiting.tickets.length === 0 ? (
          <p className="quiet">Nothing is booked. Fill in the form, or read an order file.</p>
        ) : (
          <Tickets tickets={waiting.tickets} />
        )}
      </section>
    </div>
  );
}

function Problems({ failure }: { failure: Failure | null }) {
  if (!failure) return null;
  const problems = failure.problems ?? [{ field: failure.field ?? '', message: failure.message }];
  return (
    <div role="alert" className={styles.problems}>
      <b>Nothing was booked. {problems.length > 1 ? `${problems.length} things to mend:` : ''}</b>
      <ul>
        {problems.map((problem, index) => (
          <li key={index}>
            {problem.field !== '' && <code>{problem.field.replace(/^document\./, '')}</code>}{' '}
            {problem.message}
          </li>
        ))}
      </ul>
    </div>
  );
}
