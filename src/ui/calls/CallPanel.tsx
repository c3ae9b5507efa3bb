'use client';

import { Button, Input, type InputRef } from 'antd';
import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import type { ShareId } from '@/core/order/animal';
import type { Reached } from '@/core/order/work';
import type { CallInHand, CallRow } from '@/server/sheet';
import { useKey } from '../kit/keys/useKey';
import { useLiveChosen } from '../kit/live/useLive';
import { Note } from '../kit/Note';
import { Coming, Failed } from '../kit/States';
import { useAsk } from '../kit/useAsk';
import styles from './Calls.module.css';

/** The call in hand: the number and how it went at once, then what to ask, in words to be read out. */
export function CallPanel({ row: { shareId, name, about, phone } }: { row: CallRow }) {
  const { value: call, problem, reload } = useLiveChosen('callView', { shareId });
  return (
    <aside className={styles.panel} aria-label="The call in hand">
      <h2>{name}</h2>
      <p className="quiet">
        {about}
        {call && !name.startsWith(call.contact) && `; ask for ${call.contact}`}
      </p>
      {phone === '' ? (
        <p className="alarm">
          No telephone number. <Link href={`/ticket/${shareId}?do=correct`}>Write one down</Link>
        </p>
      ) : (
        <a className={styles.number} href={`tel:${phone.replace(/\s/g, '')}`}>
          {phone}
        </a>
      )}
      <HowItWent shareId={shareId} />
      {!call && problem && <Failed words={problem.message} onAgain={() => void reload()} />}
      {!call && !problem && <Coming words="Loading what to ask" rows={6} />}
      {call && <WhatToAsk shareId={shareId} call={call} />}
    </aside>
  );
}

function WhatToAsk({ shareId, call }: { shareId: ShareId; call: CallInHand }) {
  const { asks, more } = call;
  return (
    <>
      {more !== '' && (
        <p className={styles.say}>
          {more} <Link href={`/sheet/${shareId}`}>Their sheet</Link>
        </p>
      )}
      <ol className={styles.asks}>
        {asks.map((ask, at) => (
          <li key={at}>
            <p className={styles.say}>{ask.words}</p>
            <p className="quiet">
              {ask.house !== '' && <>Our way: {ask.house} </>}
              {ask.decision !== '' && (
                <Link href={`/sheet/${shareId}?row=${ask.decision}`}>{ask.title} on the sheet</Link>
              )}
            </p>
          </li>
        ))}
      </ol>
      <h3>If nobody answers</h3>
      <p>{call.ifNobody}</p>
      {call.house && <HouseWay shareId={shareId} version={call.version} house={call.house} />}
      {call.calls.length > 0 && <h3>Calls before</h3>}
      {call.calls.map(({ id, words, said }) => (
        <p key={id} className="quiet">
          {words}
          {said !== '' && `: ${said}`}
        </p>
      ))}
    </>
  );
}

const WAYS: readonly {
  readonly reached: Reached;
  readonly key: string;
  readonly word: string;
  readonly said: string;
}[] = [
  { reached: 'nobody', key: 'N', word: 'nobody there', said: '' },
  { reached: 'message', key: 'M', word: 'left a message', said: 'Please ring back about the sheet' },
  { reached: 'spoken', key: 'S', word: 'spoke with them', said: 'Answered; written on the sheet' },
];

/** Two keys: how it went, and Enter; what was said can be typed between them. */
function HowItWent({ shareId }: { shareId: ShareId }) {
  const [reached, setReached] = useState<Reached>();
  const [said, setSaid] = useState('');
  const { ask, busy, refusal } = useAsk('noteCall');
  const field = useRef<InputRef>(null);
  const begin = (way: (typeof WAYS)[number]) => {
    setReached(way.reached);
    setSaid(way.said);
  };
  useEffect(() => {
    if (reached) field.current?.focus({ cursor: 'all' });
  }, [reached]);
  useKey('calls', 'nobody', () => begin(WAYS[0]!));
  useKey('calls', 'message', () => begin(WAYS[1]!));
  useKey('calls', 'spoken', () => begin(WAYS[2]!));
  return (
    <form
      className={styles.went}
      aria-label="How the call went"
      onSubmit={(event) => {
        event.preventDefault();
        if (!reached) return;
        void ask({ shareId, reached, said }).then(({ ok }) => ok && setReached(undefined));
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setReached(undefined);
      }}
    >
      <div role="group" aria-label="How it went">
        {WAYS.map((way) => (
          <button
            key={way.reached}
            type="button"
            aria-pressed={reached === way.reached}
            onClick={() => begin(way)}
          >
            <kbd>{way.key}</kbd> {way.word}
          </button>
        ))}
      </div>
      {reached && (
        <label>
          What was said
          <span>
            <Input
              ref={field}
              value={said}
              maxLength={500}
              disabled={busy}
              onChange={(event) => setSaid(event.target.value)}
            />
            <Button type="primary" htmlType="submit" loading={busy}>
              Write it down
            </Button>
          </span>
        </label>
      )}
      <Note failure={refusal} />
    </form>
  );
}

type HouseWayProps = { shareId: ShareId; version: number; house: NonNullable<CallInHand['house']> };

/** By the shop's rule the house's way may be taken: for which rows, and why. */
function HouseWay({ shareId, version, house }: HouseWayProps) {
  const [reason, setReason] = useState('');
  const { ask, busy, refusal } = useAsk('takeHouseWay');
  return (
    <form
      className={styles.house}
      aria-label="Our usual way"
      onSubmit={(event) => {
        event.preventDefault();
        void ask({ shareId, version, reason });
      }}
    >
      <details>
        <summary>Our usual way is: {house.rows.length} rows</summary>
        <ul>
          {house.rows.map((row) => (
            <li key={row}>{row}</li>
          ))}
        </ul>
      </details>
      {house.notYet === '' ? (
        <label>
          Why it is taken
          <span>
            <Input
              value={reason}
              maxLength={300}
              disabled={busy}
              onChange={(event) => setReason(event.target.value)}
            />
            <Button htmlType="submit" loading={busy} disabled={reason.trim() === ''}>
              Take our usual way
            </Button>
          </span>
        </label>
      ) : (
        <p className="quiet">{house.notYet}</p>
      )}
      <Note failure={refusal} />
    </form>
  );
}
