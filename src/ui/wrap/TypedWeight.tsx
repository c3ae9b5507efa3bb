'use client';

import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { parseWeight } from '@/core/quantity/weight';
import type { ScaleUnit } from '@/core/scale/reading';
import { standOpen } from '../kit/keys/scopes';
import cover from './NothingMore.module.css';
import styles from './TypedWeight.module.css';

const REASONS = ['The scale is away', 'The scale is broken', 'Weighed on another scale'] as const;

export type Typed = { readonly gross: number; readonly tare: number; readonly why: string };

type Props = {
  title: string;
  unit: ScaleUnit;
  onTyped: (typed: Typed) => void;
  onClose: () => void;
};

/** Thousandths of whatever the scale weighs in. */
function typedIn(text: string, unit: ScaleUnit) {
  return unit === 'g' ? parseWeight(text.replace(/\s*g$/i, ''), 'lb') : parseWeight(text, unit);
}

/** A weight typed by hand, with why: it is marked as typed for ever. */
export function TypedWeight({ title, unit, onTyped, onClose }: Props) {
  const [said, setSaid] = useState({ gross: '', tare: '' });
  const [problem, setProblem] = useState('');
  useHotkeys('escape', onClose, { enableOnFormTags: true });
  useEffect(standOpen, []);
  const take = (why: string) => {
    const gross = typedIn(said.gross, unit);
    const tare = typedIn(said.tare || '0', unit);
    if (!gross.ok) return setProblem(gross.message);
    if (!tare.ok) return setProblem(tare.message);
    onTyped({ gross: gross.value, tare: tare.value, why });
  };
  const field = (name: 'gross' | 'tare', words: string) => (
    <label>
      {words}, {unit}
      <input
        autoFocus={name === 'gross'}
        inputMode="decimal"
        autoComplete="off"
        value={said[name]}
        maxLength={9}
        onChange={({ target }) => setSaid({ ...said, [name]: target.value })}
      />
    </label>
  );
  return (
    <form
      className={cover.cover}
      role="dialog"
      aria-modal
      aria-label={`${title}, typed`}
      onSubmit={(event) => {
        event.preventDefault();
        take(REASONS[0]);
      }}
    >
      <h2>{title}: type the weight</h2>
      <div className={styles.fields}>
        {field('gross', 'On the scale')}
        {field('tare', 'Tray, hook or bag')}
      </div>
      <p role="alert" className={styles.problem}>
        {problem}
      </p>
      {REASONS.map((reason, index) => (
        <button
          key={reason}
          type={index === 0 ? 'submit' : 'button'}
          onClick={index === 0 ? undefined : () => take(reason)}
        >
          {reason}: take it {index === 0 && <kbd>Enter</kbd>}
        </button>
      ))}
      <button type="button" onClick={onClose}>
        <kbd>Esc</kbd> back
      </button>
    </form>
  );
}
