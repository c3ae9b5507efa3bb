'use client';

import { Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Stage } from '@/core/order/stage';
import type { Ticket } from '@/server/rail';
import { act } from '../kit/act';
import styles from './Palette.module.css';
import { pageOf, STAGE_WORDS } from './stages';

type Entry = { key: string; label: string; detail: string; page: string };

/** Milliseconds of quiet before the house is asked. */
const QUIET_BEFORE_ASKING = 120;

function entryOf(ticket: Ticket): Entry {
  const where = ticket.stage ? STAGE_WORDS[ticket.stage].word : 'picked up';
  return {
    key: ticket.shareId,
    label: ticket.name,
    detail: `${ticket.tag} from ${ticket.farm}, order ${ticket.number}, ${where}`,
    page: pageOf(ticket.stage, ticket.shareId),
  };
}

function stageEntries(stages: readonly Stage[], said: string): Entry[] {
  return stages
    .filter((stage) => STAGE_WORDS[stage].word.toLowerCase().includes(said.trim().toLowerCase()))
    .map((stage) => ({ key: stage, label: STAGE_WORDS[stage].word, detail: 'stage', page: `/${stage}` }));
}

const AWAY = 'The network is away. Orders are found again when it is back.';

type Found = {
  readonly tickets: readonly Ticket[];
  /** Whether they answer what is said now, and not what was said a moment ago. */
  readonly current: boolean;
  /** Why nothing was found that could be believed; empty when all is well. */
  readonly problem: string;
};

/** The shares that the house finds for what was said; what is typed meanwhile wins. */
function useFound(said: string): Found {
  const [found, setFound] = useState({ said: '', tickets: [] as readonly Ticket[], problem: '' });
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(async () => {
      const result = await act('findView', { words: said });
      if (stale) return;
      if (result.ok) setFound({ said, tickets: result.value, problem: '' });
      else setFound({ said, tickets: [], problem: result.reason === 'offline' ? AWAY : result.message });
    }, QUIET_BEFORE_ASKING);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [said]);
  return { tickets: found.tickets, current: found.said === said, problem: found.problem };
}

/** One key opens it: jump to any order by a name, telephone, tag or number, or to a stage. */
export function Palette({
  open,
  onClose,
  stages,
}: {
  open: boolean;
  onClose: () => void;
  stages: readonly Stage[];
}) {
  const router = useRouter();
  const [said, setSaid] = useState('');
  const [at, setAt] = useState(0);
  const { tickets, current, problem } = useFound(said);
  const found = [...tickets.map(entryOf), ...stageEntries(stages, said)];
  const go = (entry: Entry | undefined) => {
    if (!entry) return;
    setSaid('');
    setAt(0);
    onClose();
    router.push(entry.page);
  };
  /** Before the answer came the house is asked at once: what still stands there was found for other words. */
  const enter = async () => {
    if (current) return go(found[at]);
    const asked = await act('findView', { words: said });
    if (asked.ok) go([...asked.value.map(entryOf), ...stageEntries(stages, said)][0]);
  };
  return (
    <Modal
      open={open}
      onCancel={onClose}
      footer={null}
      title="Find an order, a tag, a name"
      destroyOnHidden
      width={520}
    >
      <Input
        autoFocus
        aria-label="Part of a name, tag or farm"
        placeholder="beginning of a name, tag, farm, telephone or order number"
        value={said}
        onChange={(event) => {
          setSaid(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt(Math.min(found.length - 1, at + 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(0, at - 1));
          else if (event.key === 'Enter') void enter();
          else return;
          event.preventDefault();
        }}
      />
      <ul className={styles.list} role="listbox" aria-label="Found">
        {found.map((entry, index) => (
          <li key={entry.key} role="option" aria-selected={index === at}>
            <button type="button" onClick={() => go(entry)}>
              <b>{entry.label}</b> <span className="quiet">{entry.detail}</span>
            </button>
          </li>
        ))}
        {current && problem !== '' && <li role="alert">{problem}</li>}
        {current && problem === '' && found.length === 0 && said.trim() !== '' && (
          <li className="quiet">Nothing in the shop is called that.</li>
        )}
      </ul>
    </Modal>
  );
}
