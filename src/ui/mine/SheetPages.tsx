'use client';

import { useEffect, useState, type ReactNode } from 'react';
import { mainDecisionOf } from '@/core/questions/zones';
import { houseSheet } from '@/core/sheet/houseSheet';
import { decisionsAsked } from '@/core/sheet/situation';
import type { Sheet } from '@/core/sheet/types';
import type { Species } from '@/core/species/types';
import type { SheetSaver } from '../sheet/sheetSaver';
import { useSheet, type SheetState, type SheetWay } from '../sheet/useSheet';
import { useSignal } from '../kit/useSignal';
import { Choice } from './Choice';
import { Home } from './Home';
import styles from './Mine.module.css';
import type { MinePage } from './minePage';

/** Where one is: at the beginning, at one of its choices, or before what comes home. */
type Place = 'start' | 'home' | number;

/** Where the first page leads, and what is said there of the sheet. */
export type FirstPage = {
  readonly state: SheetState;
  /** How many choices there are, and how many of them are not made yet. */
  readonly asked: number;
  readonly open: number;
  /** The zone of the first choice that is not made yet. */
  readonly at: string;
  readonly onBegin: () => void;
  readonly onUsual: () => void;
  readonly onHome: () => void;
  readonly onZone: (zone: string) => void;
  /** Another sheet in place of this one, to be looked at. */
  readonly onTake: (sheet: Sheet) => void;
};

type Props = {
  page: MinePage;
  species: Species;
  way: SheetWay;
  first: (page: FirstPage) => ReactNode;
  /** What is done with the sheet once one has seen what comes home. */
  ending: (state: SheetState, onChange: () => void) => ReactNode;
};

/** One choice at a time on the telephone: kept as it is made, left and taken up again at any time. */
export function SheetPages({ page, species, way, first, ending }: Props) {
  const state = useSheet(page.sheet, species, way);
  const decisions = decisionsAsked(state.situation);
  const [place, setPlace] = useState<Place>('start');
  useEffect(() => {
    void window.scrollTo({ top: 0 });
  }, [place]);
  const open = decisions.filter(({ id }) => state.sheet.answers[id] === undefined);
  const firstOpen = Math.max(
    0,
    decisions.findIndex(({ id }) => id === open[0]?.id),
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
          {place === 'start' ? page.shop.name : 'The whole side'}
        </button>
        <Kept saver={state.saver} />
      </header>
      {place === 'start' &&
        first({
          state,
          asked: decisions.length,
          open: open.length,
          at: decisions[firstOpen]!.zone,
          onBegin: () => setPlace(firstOpen),
          onUsual: asUsual,
          onHome: () => setPlace('home'),
          onZone: (zone) => {
            const main = mainDecisionOf(species, zone);
            const at = decisions.findIndex(({ id }) => id === main?.id);
            if (at >= 0) setPlace(at);
          },
          onTake: (sheet) => {
            state.change(sheet);
            setPlace('home');
          },
        })}
      {typeof place === 'number' && (
        <Choice
          key={place}
          page={page}
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
          page={page}
          state={state}
          onRow={(id) => {
            const at = decisions.findIndex((decision) => decision.id === id);
            setPlace(at >= 0 ? at : 0);
          }}
        >
          {ending(state, () => setPlace(0))}
        </Home>
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

/** Whether what was chosen is kept, and where. */
function Kept({ saver }: { saver: SheetSaver }) {
  const { state, message } = useSignal(saver.saving);
  return (
    <span className={state === 'refused' ? 'alarm' : 'quiet'} role="status" data-saving={state}>
      {KEPT_WORDS[state]}
      {state === 'refused' && `: ${message}`}
    </span>
  );
}
