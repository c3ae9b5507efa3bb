'use client';

import { useEffect, useId, useState } from 'react';
import type { FoundHousehold } from '@/server/book';
import { act } from '../kit/act';
import { Typed } from './Typed';
import styles from './BookScreen.module.css';

/** Fewer letters find half the town. */
const LEAST_LETTERS = 2;

type Props = {
  id?: string;
  label: string;
  value: string;
  problem?: string;
  width?: string;
  autoFocus?: boolean;
  onChange: (name: string) => void;
  /** Somebody the shop knows. */
  onTake: (found: FoundHousehold) => void;
};

/** A name: any letters of it, of a number, a tag or a farm find who the shop knows; Enter takes the marked one, Tab keeps what is typed. */
export function PersonField({ onTake, onChange, value, ...field }: Props) {
  const listId = useId();
  const [open, setOpen] = useState(false);
  const [marked, setMarked] = useState(0);
  const found = useHouseholds(open ? value : '');
  const take = (one: FoundHousehold) => {
    onTake(one);
    setOpen(false);
  };
  return (
    <span className={styles.person} style={field.width ? { width: field.width } : undefined}>
      <Typed
        {...field}
        value={value}
        onChange={(text) => {
          onChange(text);
          setMarked(0);
          setOpen(true);
        }}
        onBlur={() => setOpen(false)}
        onKey={(event) => {
          if (!open || found.length === 0) return false;
          if (event.key === 'Enter' && !event.ctrlKey) {
            const one = found[marked];
            if (!one || !isMeant(one, value)) return false;
            take(one);
            // The field still goes on to the next one.
            return false;
          }
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            setMarked((at) =>
              Math.max(0, Math.min(found.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1))),
            );
            return true;
          }
          if (event.key === 'Escape') setOpen(false);
          return false;
        }}
      />
      {open && found.length > 0 && (
        <ul className={styles.found} id={listId} role="listbox" aria-label="Whom the shop knows">
          {found.map((one, at) => (
            <li
              key={one.id}
              role="option"
              aria-selected={at === marked}
              onMouseDown={(event) => {
                event.preventDefault();
                take(one);
              }}
            >
              <b>{one.name}</b> <span className="quiet">{one.phone}</span>
              <br />
              <span className="quiet">{one.last?.words ?? 'nothing yet'}</span>
              {at === marked && isMeant(one, value) && <kbd>Enter</kbd>}
            </li>
          ))}
        </ul>
      )}
    </span>
  );
}

/** Whole names of other people may hold the same letters: only a beginning of a word, or digits, is taken by Enter. */
function isMeant({ name, phone }: FoundHousehold, typed: string): boolean {
  const said = typed.trim().toLowerCase();
  if (said === '') return false;
  const digits = said.replace(/\D/g, '');
  const isNumber = digits.length > 2 && (phone ?? '').replace(/\D/g, '').includes(digits);
  return isNumber || ` ${name.toLowerCase()}`.includes(` ${said}`) || !/^[a-z]+$/i.test(said);
}

function useHouseholds(words: string): readonly FoundHousehold[] {
  const [found, setFound] = useState<{ words: string; people: readonly FoundHousehold[] }>({
    words: '',
    people: [],
  });
  const wanted = words.trim();
  useEffect(() => {
    if (wanted.length < LEAST_LETTERS) return;
    let stale = false;
    void act('householdsView', { words: wanted }).then(
      (answer) => !stale && answer.ok && setFound({ words: wanted, people: answer.value }),
    );
    return () => {
      stale = true;
    };
  }, [wanted]);
  return wanted.length >= LEAST_LETTERS && found.words === wanted ? found.people : [];
}
