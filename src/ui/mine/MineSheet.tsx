'use client';

import { useEffect, useMemo, useState } from 'react';
import { mainDecisionOf } from '@/core/questions/zones';
import { houseSheet } from '@/core/sheet/houseSheet';
import { decisionsAsked } from '@/core/sheet/situation';
import type { Species } from '@/core/species/types';
import type { HouseholdSheet } from '@/server/links';
import type { SheetSaver } from '../sheet/sheetSaver';
import { useSheet, type SheetWay } from '../sheet/useSheet';
import { useSignal } from '../kit/useSignal';
import { askByLink } from './byLink';
import { Choice } from './Choice';
import { Home } from './Home';
import styles from './Mine.module.css';
import { Start } from './Start';

type Props = { token: string; mine: HouseholdSheet; species: Species };

/** Where a household is: at the beginning, at one of its choices, or before what comes home. */
type Place = 'start' | 'home' | number;

/** One decision at a time on the telephone: saved as it is chosen, left and taken up again at any time. */
export function MineSheet({ token, mine, species }: Props) {
  const way = useMemo(
    (): SheetWay => ({
      reopens: false,
      save: (asked) => askByLink(token, 'saveSheet', asked),
      fetch: async (shareId) => {
        const answer = await askByLink(token, 'householdSheetView', { shareId });
        return answer.ok ? { ok: true, value: answer.value.sheet } : answer;
      },
    }),
    [token],
  );
  const state = useSheet(mine.sheet, species, way);
  const decisions = decisionsAsked(state.situation);
  const [place, setPlace] = useState<Place>('start');
  useEffect(() => {
    void window.scrollTo({ top: 0 });
  }, [place]);
  const firstOpen = Math.max(
    0,
    decisions.findIndex(({ id }) => state.sheet.answers[id] === undefined),
  );
  const asUsual = () => {
    const usual = houseSheet(state.situation);
    state.change({
      ...state.sheet,
      answers: { ...usual.answers, ...state.sheet.answers },
      keeps: { ...usual.keeps, ...state.sheet.keeps },
    });
    setPlace('home');
  };
  return (
    <main className={styles.page}>
      <header className={styles.head}>
        <button
          type="button"
          className={styles.quietLink}
          onClick={() => setPlace('start')}
          disabled={place === 'start'}
        >
          {place === 'start' ? mine.shopName : 'The whole side'}
        </button>
        <Kept saver={state.saver} />
      </header>
      {place === 'start' && (
        <Start
          token={token}
          mine={mine}
          state={state}
          first={decisions[firstOpen]!}
          asked={decisions.length}
          onBegin={() => setPlace(firstOpen)}
          onUsual={asUsual}
          onHome={() => setPlace('home')}
          onZone={(zone) => {
            const main = mainDecisionOf(species, zone);
            const at = decisions.findIndex(({ id }) => id === main?.id);
            if (at >= 0) setPlace(at);
          }}
        />
      )}
      {typeof place === 'number' && (
        <Choice
          key={place}
          mine={mine}
          state={state}
          decision={decisions[place]!}
          place={{ at: place, of: decisions.length }}
          next={decisions[place + 1]}
          onBack={() => setPlace(place === 0 ? 'start' : place - 1)}
          onNext={() => setPlace(place + 1 === decisions.length ? 'home' : place + 1)}
          onUsual={asUsual}
        />
      )}
      {place === 'home' && (
        <Home
          token={token}
          mine={mine}
          state={state}
          onChange={() => setPlace(0)}
          onRow={(id) => {
            const at = decisions.findIndex((decision) => decision.id === id);
            setPlace(at >= 0 ? at : 0);
          }}
        />
      )}
    </main>
  );
}

const KEPT_WORDS = {
  saved: 'kept',
  saving: 'keeping it',
  waiting: 'kept on this telephone',
  held: 'kept on this telephone',
  refused: 'not kept',
} as const;

/** Whether what was chosen is with the shop. */
function Kept({ saver }: { saver: SheetSaver }) {
  const { state, message } = useSignal(saver.saving);
  return (
    <span className={state === 'refused' ? 'alarm' : 'quiet'} role="status" data-saving={state}>
      {KEPT_WORDS[state]}
      {state === 'refused' && `: ${message}`}
    </span>
  );
}
