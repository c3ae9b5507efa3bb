'use client';

import { Input } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Dialog } from '../kit/Dialog';
import { useWho } from '../kit/Who';
import { entriesFor, type Entry } from './entries';
import styles from './Palette.module.css';
import { useFound } from './useFound';

const AWAY = 'The network is away. Orders are found again when it is back.';

/** One key opens it: any order, person, tag, cut, page or thing to do, by any word. */
export function Palette({ shareId, onClose }: { shareId: string | undefined; onClose: () => void }) {
  const router = useRouter();
  const { role } = useWho();
  const [said, setSaid] = useState('');
  const [at, setAt] = useState(0);
  const { found, current, problem, askNow } = useFound(said, shareId);
  const asked = { said, role, shareId };
  const entries = entriesFor(asked, found);
  const go = (entry: Entry | undefined) => {
    if (!entry) return;
    onClose();
    router.push(entry.page);
  };
  /** Before the answer came the house is asked at once: what still stands there was found for other words. */
  const enter = async () => {
    if (current) return go(entries[at]);
    const fresh = await askNow();
    if (fresh) go(entriesFor(asked, fresh)[0]);
  };
  return (
    <Dialog title="Find" onClose={onClose} width={560}>
      <Input
        aria-label="Part of a name, tag, farm, number, cut or page"
        placeholder="a name, tag, farm, telephone, order number, cut, page, or what to do"
        role="combobox"
        aria-expanded
        aria-controls="found"
        value={said}
        onChange={(event) => {
          setSaid(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt(Math.min(entries.length - 1, at + 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(0, at - 1));
          else if (event.key === 'Enter') void enter();
          else return;
          event.preventDefault();
        }}
      />
      <ul className={styles.list} role="listbox" id="found" aria-label="Found">
        {entries.map((entry, index) => (
          <li key={entry.key} role="option" aria-selected={index === at}>
            <button type="button" onClick={() => go(entry)}>
              <b>{entry.label}</b> <span className="quiet">{entry.detail}</span>
            </button>
          </li>
        ))}
        {current && problem !== '' && <li role="alert">{problem === 'offline' ? AWAY : problem}</li>}
        {current && problem === '' && entries.length === 0 && said.trim() !== '' && !found?.cuts.absent && (
          <li className="quiet">Nothing in the shop is called that.</li>
        )}
      </ul>
      {found?.cuts.question && <p className="quiet">{found.cuts.question}</p>}
      {found?.cuts.absent && <p className="quiet">{found.cuts.absent}</p>}
    </Dialog>
  );
}
