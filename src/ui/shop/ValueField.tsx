'use client';

import { useState } from 'react';
import { Note } from '../kit/Note';
import type { Asking } from '../kit/useAsk';
import styles from './SetUp.module.css';

type Props = {
  /** What it is, said to whoever does not see the table around it. */
  label: string;
  /** As it stands. */
  kept: string;
  width?: 'number' | 'short' | 'words' | 'line';
  /** Whether the shop has said it itself. */
  own?: boolean;
  /** What is wrong with what is typed; empty when nothing is. */
  problem: (text: string) => string;
  keep: (text: string) => ReturnType<Asking<'changeSetUp'>['ask']>;
};

/** One value of the set-up where it stands: Enter or leaving keeps what was typed, Esc gives the old one back. */
export function ValueField({ kept, ...rest }: Props) {
  return <Field key={kept} kept={kept} {...rest} />;
}

function Field({ label, kept, width = 'number', own = false, problem, keep }: Props) {
  const [text, setText] = useState(kept);
  const [refusal, setRefusal] = useState<Parameters<typeof Note>[0]['failure']>(null);
  const isTyped = text.trim() !== kept;
  const wrong = isTyped ? problem(text.trim()) : '';
  async function send() {
    if (!isTyped || wrong !== '') return;
    const answer = await keep(text.trim());
    setRefusal(answer.ok ? null : answer);
  }
  return (
    <span className={styles.value}>
      <input
        className={styles.field}
        data-width={width}
        data-typed={isTyped || undefined}
        data-own={own || undefined}
        aria-label={label}
        title={kept}
        aria-invalid={wrong !== ''}
        value={text}
        onFocus={(event) => event.target.select()}
        onChange={(event) => {
          setText(event.target.value);
          setRefusal(null);
        }}
        onBlur={() => void send()}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') {
            setText(kept);
            setRefusal(null);
          }
        }}
      />
      {wrong !== '' && (
        <span className="alarm" role="alert">
          {wrong}
        </span>
      )}
      <Note failure={refusal} />
    </span>
  );
}

/** Why a text is not a number between two others; empty when it is. */
export function numberProblem(text: string, least: number, most: number, whole = true): string {
  const value = Number(text.replace(',', '.'));
  const isNumber = text !== '' && Number.isFinite(value) && (!whole || Number.isInteger(value));
  return isNumber && value >= least && value <= most ? '' : `${least} to ${most}`;
}

export function numberOf(text: string): number {
  return Number(text.replace(',', '.'));
}
