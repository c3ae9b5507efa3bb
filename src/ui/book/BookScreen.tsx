'use client';

import { Button } from 'antd';
import { useMemo } from 'react';
import type { BookingView, RoomView } from '@/server/book';
import type { TicketPage } from '@/server/rail';
import { useKey, useScope } from '../kit/keys/useKey';
import { useLive } from '../kit/live/useLive';
import { onDemand } from '../kit/onDemand';
import { Nothing } from '../kit/States';
import { Tickets } from '../rail/TicketList';
import { AnimalCard } from './AnimalCard';
import { animalsInWords, sumOf } from './callSum';
import { FarmLine } from './FarmLine';
import { Problems } from './Problems';
import { RoomPanel } from './RoomPanel';
import { useCall } from './useCall';
import styles from './BookScreen.module.css';

const ImportFile = onDemand(() => import('./ImportFile').then((module) => module.ImportFile));

type Props = { booked: TicketPage; room: RoomView; view: BookingView };

/** A call: what is booked hangs already, each part with who has it; whether there is room; what is booked and not here yet. */
export function BookScreen({ booked: first, room: firstRoom, view }: Props) {
  const { value: waiting } = useLive('stageView', { stage: 'book', page: 0 }, first);
  const { value: room } = useLive('roomView', {}, firstRoom);
  const state = useCall(view, room);
  const { call, busy, refusal, booked } = state;
  const sum = useMemo(() => sumOf(call), [call]);
  useScope('book');
  useKey('book', 'book', () => void state.book());
  useKey('book', 'animal', state.addAnimal);
  const animals = animalsInWords(call, view.species);
  return (
    <div className={styles.page}>
      <header className={styles.heading}>
        <h1>Book an animal in</h1>
        <span className="quiet">
          {call.farm.name.trim() === '' ? 'whose is it?' : `${call.farm.name}, ${animals}`}
        </span>
        <span className={styles.spacer} />
        <Button onClick={state.clear}>Begin anew</Button>
        <Button onClick={state.addAnimal}>
          Another animal <kbd>Alt A</kbd>
        </Button>
      </header>
      <div className={styles.columns}>
        <div>
          <FarmLine state={state} view={view} room={room} />
          <div className={styles.animals}>
            {call.animals.map((animal, at) => (
              <AnimalCard key={animal.key} state={state} view={view} animal={animal} at={at} />
            ))}
          </div>
        </div>
        <aside>
          <RoomPanel call={call} room={room} view={view} onKillDay={(killDate) => state.set({ killDate })} />
          <h2 className={styles.waiting}>Booked, not on the rail yet</h2>
          {waiting.tickets.length === 0 ? (
            <Nothing>Nothing is booked. Type the farm, a tag and who has it.</Nothing>
          ) : (
            <Tickets tickets={waiting.tickets} />
          )}
          <ImportFile view={view} onBook={state.bookDocuments} />
        </aside>
      </div>
      <footer className={styles.foot}>
        <Problems failure={refusal} />
        <span>
          <b>{sum.shares}</b> {sum.shares === 1 ? 'share' : 'shares'} = <b>{sum.sold}</b> sold
          {sum.unsold > 0 && (
            <>
              {' '}
              + <b>{sum.unsold}</b> not sold yet
            </>
          )}
        </span>
        <span>
          <b>
            {view.sign}
            {sum.deposits.toFixed(2)}
          </b>{' '}
          of deposits
        </span>
        <span role="status" className={styles.done}>
          {booked}
        </span>
        <span className={styles.spacer} />
        <Button type="primary" size="large" loading={busy} onClick={() => void state.book()}>
          Book {call.animals.length === 1 ? 'it in' : `the ${call.animals.length}`} <kbd>Ctrl Enter</kbd>
        </Button>
      </footer>
    </div>
  );
}
