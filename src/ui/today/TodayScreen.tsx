'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState, type CSSProperties } from 'react';
import type { Today } from '@/server/today';
import { useKey, useScope } from '../kit/keys/useKey';
import { useLive } from '../kit/live/useLive';
import { Nothing, Old } from '../kit/States';
import { useWho } from '../kit/Who';
import { hooksFor, isFloorRole } from '../rail/stages';
import { actOf, callOf, ticketOf } from './acts';
import { rowsOf, type DayRow } from './rows';
import { Tag } from './Tag';
import styles from './TodayScreen.module.css';

/** The clock moves though nothing is done in the house. */
const LOOK_EVERY_MS = 60_000;

/** The day: what hangs below each stage of the rail, at the hour at which it is due. */
export function TodayScreen({ today: first }: { today: Today }) {
  const { value: today, problem, reload } = useLive('todayView', {}, first);
  const { role } = useWho();
  useClock(reload);
  const rows = rowsOf(today);
  const { inHand, choose } = useDay(rows);
  const stages = hooksFor(role).map((hook) => hook.stage);
  const part = (when: DayRow['when']) => ({
    rows: rows.filter((row) => row.when === when),
    stages,
    inHand,
    onChoose: choose,
  });
  return (
    <div className={styles.day} data-floor={isFloorRole(role) || undefined}>
      <Strings stages={stages} rows={rows} />
      {problem && <Old words={`What is shown may be old. ${problem.message}`} />}
      <h1 className="visuallyHidden">Today</h1>
      <div className={styles.late}>
        <Part {...part('late')} title="Late" nothing="Nothing is late." />
      </div>
      <p className={styles.now}>
        {today.now.replace(/^0/, '')}, {today.day}
      </p>
      <Part {...part('today')} title="Today" nothing="Nothing more is due today." />
      <Part {...part('soon')} title="To wait for" nothing="" />
      {today.gone.length > 0 && (
        <p className={styles.gone}>
          <b>Collected today:</b> {today.gone.join('; ')}
        </p>
      )}
      <p className={styles.keys} aria-hidden>
        <kbd>↑</kbd> <kbd>↓</kbd> along the day <kbd>Enter</kbd> does it <kbd>Space</kbd> its ticket{' '}
        <kbd>?</kbd> all keys
      </p>
    </div>
  );
}

type PartProps = Omit<LineProps, 'row'> & { rows: readonly DayRow[]; title: string; nothing: string };

/** The late, the day, or what is waited for; one sentence when nothing of it is there. */
function Part({ rows, title, nothing, ...line }: PartProps) {
  return (
    <section aria-label={title}>
      {rows.map((row) => (
        <Line key={row.key} row={row} {...line} />
      ))}
      {rows.length === 0 && nothing !== '' && (
        <div className={styles.sentence}>
          <Nothing>{nothing}</Nothing>
        </div>
      )}
    </section>
  );
}

function useClock(reload: () => Promise<void>): void {
  useEffect(() => {
    const timer = setInterval(() => void reload(), LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [reload]);
}

/** Which tag is in hand: it moves along the day by keys, and what it says is opened. */
function useDay(rows: readonly DayRow[]) {
  const router = useRouter();
  const [chosen, setChosen] = useState<string>();
  const keys = rows.flatMap((row) => row.folds.map((fold) => fold.key));
  const inHand = chosen !== undefined && keys.includes(chosen) ? chosen : keys[0];
  const task = rows.flatMap((row) => row.folds).find((fold) => fold.key === inHand)?.tasks[0];
  const step = (by: number) => {
    const at = inHand === undefined ? -1 : keys.indexOf(inHand);
    setChosen(keys[Math.max(0, Math.min(keys.length - 1, at + by))]);
  };
  useScope('today');
  useKey('today', 'next', () => step(1));
  useKey('today', 'before', () => step(-1));
  useKey('today', 'right', () => step(1));
  useKey('today', 'left', () => step(-1));
  useKey('today', 'open', () => task && router.push(actOf(task).page));
  useKey('today', 'call', () => router.push(callOf(task)));
  useKey('today', 'ticket', () => task && router.push(ticketOf(task)));
  return { inHand, choose: setChosen };
}

/** One string falls from each hook; a bare one ends in a hook of its own. */
function Strings({ stages, rows }: { stages: readonly (string | undefined)[]; rows: readonly DayRow[] }) {
  const hung = new Set(rows.flatMap((row) => row.folds.map((fold) => fold.tasks[0]!.stage as string)));
  return (
    <div className={styles.strings} aria-hidden>
      {stages.map(
        (stage, index) =>
          stage && (
            <i
              key={stage}
              data-bare={hung.has(stage) ? undefined : true}
              style={{ '--at': index } as CSSProperties}
            />
          ),
      )}
    </div>
  );
}

type LineProps = {
  row: DayRow;
  stages: readonly (string | undefined)[];
  inHand: string | undefined;
  onChoose: (key: string) => void;
};

function Line({ row: { when, figure, words, folds }, stages, inHand, onChoose }: LineProps) {
  return (
    <div className={styles.line} data-when={when}>
      <p className={styles.hour}>
        <b>{figure}</b> {words}
      </p>
      <div className={styles.tags}>
        {folds.map((fold) => (
          <Tag
            key={fold.key}
            tasks={fold.tasks}
            at={Math.max(1, stages.indexOf(fold.tasks[0]!.stage))}
            when={when}
            isTurned={stages.indexOf(fold.tasks[0]!.stage) === stages.length - 1}
            isInHand={fold.key === inHand}
            onChoose={() => onChoose(fold.key)}
          />
        ))}
      </div>
    </div>
  );
}
