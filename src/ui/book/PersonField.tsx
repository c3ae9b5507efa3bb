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
  /** Whose name or number it is, not who had something of theirs: a farm; the list is away once the name is whole. */
  byName?: boolean;
  onChange: (name: string) => void;
  /** Somebody the shop knows. */
  onTake: (found: FoundHousehold) => void;
};

/** A name: any letters of it, of a number, a tag or a farm find who the shop knows; Enter takes the marked one, Tab keeps what is typed. */
export function PersonField({ onTake, onChange, value, byName = false, ...field }: Props) {
  const listId = useId();
  const [open, setOpen] = useState(false);
  const [marked, setMarked] = useState(0);
  const all = useHouseholds(open ? value : '');
  const found = byName ? all.filter((one) => isNamed(one, value) && !isCalled(one, value)) : all;
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
              {!byName && (
                <>
                  <br />
                  <span className="quiet">{one.last?.words ?? 'nothing yet'}</span>
                </>
              )}
              {at === marked && isMeant(one, value) && <kbd>Enter</kbd>}
            </li>
          ))}
        </ul>
      )}
    </span>
  );
}

function isCalled({ name }: FoundHousehold, typed: string): boolean {
  return name.toLowerCase() === typed.trim().toLowerCase();
}

/** Whether the name or the number of somebody is what is typed: a beginning of a word, or digits. */
function isNamed({ name, phone }: FoundHousehold, typed: string): boolean {
  const said = typed.trim().toLowerCase();
  if (said === '') return false;
  const digits = said.replace(/\D/g, '');
  const isNumber = digits.length > 2 && (phone ?? '').replace(/\D/g, '').includes(digits);
  return isNumber || ` ${name.toLowerCase()}`.includes(` ${said}`);
}

/** Whole names of other people may hold the same letters: Enter takes who is named, or had the tag that is typed. */
function isMeant(one: FoundHousehold, typed: string): boolean {
  return isNamed(one, typed) || /[^a-z]/i.test(typed.trim());
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
