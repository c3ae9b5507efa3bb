'use client';

import { Button } from 'antd';
import { useState } from 'react';
import type { Help } from '@/core/week/helps';
import type { WeekView } from '@/server/week';
import { useKey, useScope } from '../kit/keys/useKey';
import { useWho } from '../kit/Who';
import { HoursDialog, PromiseDialog } from './dialogs';
import { useWeek, type AtWeek } from './useWeek';
import { WeekRail } from './WeekRail';
import { headWords, helpWords, howGood, movedWords, stickWords } from './words';
import styles from './WeekScreen.module.css';

type Over =
  | { readonly is: 'hours'; readonly at: number; readonly more: number }
  | { readonly is: 'promise' }
  | undefined;

/** Days that are shown at once: this week and the next. */
const SHOWN = 14;
const WEEK = 7;

/** The weeks ahead: which animal on which day, how good that is, what cannot be done, and what a change would do. */
export function WeekScreen({ first }: { first: WeekView }) {
  const at = useWeek(first);
  const { view, shown, said } = at;
  const { role } = useWho();
  const mayDo = role === 'owner' || role === 'counter' || role === 'cutter';
  const [over, setOver] = useState<Over>();
  const [from, setFrom] = useState(0);
  const close = () => setOver(undefined);
  const changed = () => {
    close();
    void at.changed('Planned anew by it');
  };
  const isOpen = over === undefined;
  const days = view.room.days.map((_, day) => day).slice(from, from + SHOWN);
  const take = (by: 1 | -1) => at.take((at.inHand + by + view.animals.length) % view.animals.length);
  const ask = (help: Help) => void giveUp(at, help, setOver);
  useScope('week');
  useKey('week', 'next', () => take(1), isOpen && view.animals.length > 0);
  useKey('week', 'before', () => take(-1), isOpen && view.animals.length > 0);
  useKey('week', 'later', () => at.step(1), isOpen && mayDo);
  useKey('week', 'earlier', () => at.step(-1), isOpen && mayDo);
  useKey('week', 'keep', () => void at.keep(), isOpen && mayDo && !at.planning);
  useKey('week', 'back', () => (at.planning ? at.stop() : at.putBack()), isOpen);
  useKey('week', 'plan', () => void at.plan(), isOpen);
  useKey('week', 'weekAfter', () => setFrom(WEEK), isOpen);
  useKey('week', 'weekBefore', () => setFrom(0), isOpen);
  useKey('week', 'promise', () => setOver({ is: 'promise' }), isOpen && mayDo && view.animals.length > 0);
  useKey(
    'week',
    'give',
    ({ key }) => at.helps[Number(key) - 1] && ask(at.helps[Number(key) - 1]!),
    isOpen && mayDo,
  );

  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <h1>{headWords(view, shown)}</h1>
        <span className="quiet">a side hangs on the day it is cut; a tub holds the day’s minutes</span>
        <span className={styles.keys}>
          {view.plannedAt !== '' && <a href="/api/week/calendar">for a calendar</a>}
          <Button size="small" onClick={() => setFrom(from === 0 ? WEEK : 0)}>
            {from === 0 ? 'a week on' : 'this week'} <kbd>{from === 0 ? ']' : '['}</kbd>
          </Button>
          <Button size="small" onClick={() => void at.plan()} disabled={at.planning}>
            plan again <kbd>A</kbd>
          </Button>
        </span>
      </header>
      <WeekRail at={at} days={days} onHours={(day) => mayDo && setOver({ is: 'hours', at: day, more: 0 })} />
      <div className={styles.under}>
        <Cannot at={at} mayDo={mayDo} onGive={ask} />
        <InHand at={at} mayDo={mayDo} onPromise={() => setOver({ is: 'promise' })} />
      </div>
      <p className={styles.said} role="status" data-kind={said?.kind}>
        {said?.words}
      </p>
      {over?.is === 'hours' && (
        <HoursDialog view={view} at={over.at} more={over.more} onDone={changed} onClose={close} />
      )}
      {over?.is === 'promise' && (
        <PromiseDialog view={view} index={at.inHand} onDone={changed} onClose={close} />
      )}
    </div>
  );
}

async function giveUp(at: AtWeek, help: Help, open: (over: Over) => void): Promise<void> {
  if (help.kind === 'hour' || help.kind === 'open') {
    return open({ is: 'hours', at: help.at, more: help.kind === 'hour' ? 60 : 240 });
  }
  const { animalId, tag } = at.view.animals[help.animal]!;
  await at.say({ kind: help.kind, animalId, day: null }, `${tag}: given up`);
}

/** What cannot be done, and the one thing whose giving up helps most. */
function Cannot({ at, mayDo, onGive }: { at: AtWeek; mayDo: boolean; onGive: (help: Help) => void }) {
  const { view, shown, helps } = at;
  const sticks = view.animals.flatMap(({ tag, names }, index) => {
    const words = stickWords(view, shown, index);
    return words === '' ? [] : [{ tag, names, words }];
  });
  const missing = view.animals.filter(({ openSheets }) => openSheets > 0);
  return (
    <section aria-label="What cannot be done">
      {sticks.length > 0 ? (
        <h2 className="alarm">
          Cannot be done: {sticks.map(({ tag, words }) => `${tag}, ${words}`).join('; ')}
        </h2>
      ) : (
        <h2>Nothing sticks</h2>
      )}
      {helps.length > 0 && <p>Give one of these:</p>}
      {helps.map((help, place) => {
        const { title, detail } = helpWords(view, help);
        return (
          <button
            key={title}
            type="button"
            className={styles.help}
            disabled={!mayDo}
            onClick={() => onGive(help)}
          >
            <kbd>{place + 1}</kbd> <b>{title}</b> <span>{detail}</span>
          </button>
        );
      })}
      {missing.length > 0 && (
        <p>
          Sheets that must stand first:{' '}
          {missing
            .map(({ tag, openSheets, phone }) => `${tag} (${openSheets}${phone ? `, ring ${phone}` : ''})`)
            .join(', ')}
        </p>
      )}
      <p className="quiet" aria-live="polite">
        {howGood(at.sofar, at.planning)}
      </p>
    </section>
  );
}

/** The animal in hand: what its day does, what moving it did, and what can be said of it. */
function InHand({ at, mayDo, onPromise }: { at: AtWeek; mayDo: boolean; onPromise: () => void }) {
  const { view, shown, inHand } = at;
  const animal = view.animals[inHand];
  if (!animal) return <section aria-label="In hand" />;
  const from = at.proposed ?? view.room.animals.map(({ was }) => was);
  const rows = movedWords(view, { from, to: shown, index: inHand });
  const { pinned } = view.room.animals[inHand]!;
  const on = shown[inHand] ?? null;
  const pin = () =>
    at.say(
      {
        kind: 'pin',
        animalId: animal.animalId,
        day: pinned === null && on !== null ? view.room.days[on]!.day : null,
      },
      pinned === null ? `${animal.tag} stays` : `${animal.tag} may move`,
    );
  return (
    <section aria-label="In hand">
      <h2>
        {animal.tag}, {animal.species} of {animal.farm}
      </h2>
      <p className="quiet">{animal.names.join('; ')}</p>
      <dl className={styles.rows}>
        {rows.map(({ what, words }) => (
          <div key={what}>
            <dt>{what}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      {mayDo && (
        <p className={styles.acts}>
          <Button type="primary" disabled={at.planning} onClick={() => void at.keep()}>
            Keep it <kbd>Enter</kbd>
          </Button>
          <Button disabled={!at.isDraft} onClick={at.putBack}>
            Back <kbd>Esc</kbd>
          </Button>
          <Button onClick={() => at.step(-1)} aria-label="A day earlier">
            <kbd>←</kbd>
          </Button>
          <Button onClick={() => at.step(1)} aria-label="A day later">
            <kbd>→</kbd>
          </Button>
          <Button onClick={onPromise}>
            promised <kbd>R</kbd>
          </Button>
          <Button onClick={() => void pin()}>{pinned === null ? 'stays here' : 'may move'}</Button>
        </p>
      )}
    </section>
  );
}
