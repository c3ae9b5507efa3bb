'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { counted } from '@/core/quantity/counted';
import type { CallRow, Calls } from '@/server/sheet';
import { useKey, useScope } from '../kit/keys/useKey';
import { useLive } from '../kit/live/useLive';
import { Nothing, Old } from '../kit/States';
import { CallPanel } from './CallPanel';
import styles from './Calls.module.css';

/** Everybody to be called about a sheet, the most urgent first, and at the right the call in hand. */
export function CallsScreen({ calls: first }: { calls: Calls }) {
  const { value: calls, problem } = useLive('callsView', {}, first);
  const { inHand, choose } = useInHand(calls.rows);
  return (
    <div className={styles.screen}>
      <section className={styles.list} aria-label="Whom to call">
        <h1>{calls.rows.length === 0 ? 'Nobody has to be called' : heading(calls.rows.length)}</h1>
        {problem && <Old words={`What is shown may be old. ${problem.message}`} />}
        {calls.rows.length === 0 && (
          <Nothing>
            Every sheet before the block is answered. Questions, doubts and sheets that households send come
            here.
          </Nothing>
        )}
        <ol className={styles.rows}>
          {calls.rows.map((row, at) => (
            <Row
              key={row.shareId}
              row={row}
              when={whenOf(row, calls.hour)}
              isFirst={calls.rows[at - 1]?.daysLeft !== row.daysLeft}
              isInHand={row.shareId === inHand?.shareId}
              onChoose={() => choose(row.shareId)}
            />
          ))}
        </ol>
      </section>
      {inHand && <CallPanel key={inHand.shareId} row={inHand} />}
    </div>
  );
}

function heading(count: number): string {
  return `${counted(count, 'household')} to call`;
}

/** Which call is in hand: what the address says, the most urgent, or what the keys go to. It stays when others go. */
function useInHand(rows: readonly CallRow[]) {
  const router = useRouter();
  const [chosen, choose] = useState(useSearchParams().get('share'));
  const inHand = rows.find(({ shareId }) => shareId === chosen) ?? rows[0];
  const step = (by: number) => {
    const at = rows.findIndex(({ shareId }) => shareId === inHand?.shareId) + by;
    const next = rows[Math.max(0, Math.min(rows.length - 1, at))];
    if (next) choose(next.shareId);
  };
  useScope('calls');
  useKey('calls', 'next', () => step(1));
  useKey('calls', 'before', () => step(-1));
  useKey('calls', 'open', () => inHand && router.push(`/sheet/${inHand.shareId}`));
  return { inHand, choose };
}

type When = { readonly figure: string; readonly words: string; readonly isLate: boolean };

/** `2 days late`, `noon today`, `3 days`. */
function whenOf({ daysLeft, by }: CallRow, hour: string): When {
  if (daysLeft < 0)
    return { figure: String(-daysLeft), words: `day${daysLeft === -1 ? '' : 's'} late`, isLate: true };
  if (daysLeft === 0) return { figure: hour.replace(/^0/, ''), words: 'today', isLate: false };
  return { figure: by, words: daysLeft === 1 ? 'tomorrow' : `in ${daysLeft} days`, isLate: false };
}

type RowProps = { row: CallRow; when: When; isFirst: boolean; isInHand: boolean; onChoose: () => void };

function Row({ row, when, isFirst, isInHand, onChoose }: RowProps) {
  const box = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isInHand) box.current?.scrollIntoView({ block: 'nearest' });
  }, [isInHand]);
  const { name, about, why, last, phone } = row;
  return (
    <li ref={box} data-late={when.isLate || undefined} data-in-hand={isInHand || undefined}>
      <p className={styles.when}>
        {isFirst && (
          <>
            <b>{when.figure}</b> {when.words}
          </>
        )}
      </p>
      <button type="button" className={styles.row} aria-pressed={isInHand} onClick={onChoose}>
        <span>
          <b>{name}</b> <span className="quiet">{about}</span>
        </span>
        <span className={styles.phone}>{phone === '' ? 'no number' : phone}</span>
        <span>{why}</span>
        <span className="quiet">{last}</span>
      </button>
    </li>
  );
}
