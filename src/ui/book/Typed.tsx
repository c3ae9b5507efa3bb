'use client';

import { useEffect, useId, useRef, type KeyboardEvent } from 'react';
import styles from './BookScreen.module.css';

type Props = {
  id?: string;
  label: string;
  value: string;
  problem?: string;
  width?: string;
  placeholder?: string;
  inputMode?: 'text' | 'tel' | 'decimal' | 'numeric';
  autoFocus?: boolean;
  list?: string;
  onChange: (value: string) => void;
  onBlur?: () => void;
  /** A key that means something here. @returns whether it was taken */
  onKey?: (event: KeyboardEvent<HTMLInputElement>) => boolean;
};

/** One field of a call: its word above it, what is wrong under it; Enter goes on to the next. */
export function Typed({ label, value, problem = '', width, onChange, onBlur, onKey, ...input }: Props) {
  const own = useId();
  const field = useRef<HTMLInputElement>(null);
  const first = useRef({ value, onChange });
  // What was typed before the page was awake is not lost.
  useEffect(() => {
    const typed = field.current?.value ?? '';
    if (typed !== first.current.value) first.current.onChange(typed);
  }, []);
  const id = input.id ?? own;
  return (
    <span className={styles.typed} style={width ? { width } : undefined}>
      <label htmlFor={id}>{label}</label>
      <input
        {...input}
        ref={field}
        id={id}
        value={value}
        autoComplete="off"
        aria-invalid={problem !== ''}
        aria-describedby={problem === '' ? undefined : `${id}_help`}
        data-typed
        onChange={(event) => onChange(event.target.value)}
        onBlur={onBlur}
        onKeyDown={(event) => {
          if (onKey?.(event)) return;
          if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey) {
            event.preventDefault();
            next(event.currentTarget)?.focus();
          }
        }}
      />
      {problem !== '' && (
        <span id={`${id}_help`} className={styles.wrong}>
          {problem}
        </span>
      )}
    </span>
  );
}

/** The field where the hand goes next. */
function next(from: HTMLInputElement): HTMLInputElement | undefined {
  const fields = [...document.querySelectorAll<HTMLInputElement>('input[data-typed]:not(:disabled)')];
  return fields[fields.indexOf(from) + 1];
}
