'use client';

import Link from 'next/link';
import { useWho } from '../kit/Who';
import type { CSSProperties } from 'react';
import { hooksFor, pageOf, stagesFor, STAGE_WORDS } from '../rail/stages';
import type { TicketView } from '@/server/ticket';
import styles from './TicketScreen.module.css';

/** The hooks of the whole rail: the line is that of the shop, whoever looks. */
const HOOKS = hooksFor('owner');

const placeOf = (stage: string | undefined) => HOOKS.findIndex((hook) => hook.stage === stage) + 1;

/** The share's own line under the rail: the same stages, when each was done and by whom. */
export function ShareLine({ view: { line, shareId } }: { view: TicketView }) {
  const { role } = useWho();
  const mine = stagesFor(role);
  return (
    <ol
      className={styles.line}
      aria-label="Its way along the rail"
      style={{ '--hooks': HOOKS.length } as CSSProperties}
    >
      {line.map(({ stage, state, at, who }, index) => {
        const place = placeOf(stage);
        const way = place - placeOf(line[index - 1]?.stage);
        const words = (
          <>
            <span className="visuallyHidden">{STAGE_WORDS[stage].word}: </span>
            <b>
              {state === 'to come' ? at || 'not yet' : state === 'now' ? at || 'waits here' : at || 'done'}
            </b>
            <span>{who}</span>
          </>
        );
        return (
          <li
            key={stage}
            data-state={state.replace(' ', '-')}
            aria-current={state === 'now' ? 'step' : undefined}
            style={{ '--at': place, '--way': way } as CSSProperties}
          >
            {mine.includes(stage) && state !== 'to come' ? (
              <Link href={pageOf(stage, shareId, role)}>{words}</Link>
            ) : (
              words
            )}
          </li>
        );
      })}
    </ol>
  );
}
