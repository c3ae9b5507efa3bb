'use client';

import { Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Stage } from '@/core/order/stage';
import type { Ticket } from '@/server/rail';
import { act } from './act';
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

/** The shares that the house finds for what was said; what is typed meanwhile wins. */
function useFound(said: string): readonly Ticket[] {
  const [found, setFound] = useState<{ said: string; tickets: readonly Ticket[] }>({ said: '', tickets: [] });
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(async () => {
      const result = await act('findView', { words: said });
      if (!stale && result.ok) setFound({ said, tickets: result.value });
    }, QUIET_BEFORE_ASKING);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [said]);
  return found.tickets;
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
  const tickets = useFound(said);
  const found = [...tickets.map(entryOf), ...stageEntries(stages, said)];
  const go = (entry: Entry | undefined) => {
    if (!entry) return;
    setSaid('');
    setAt(0);
    onClose();
    router.push(entry.page);
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
          else if (event.key === 'Enter') go(found[at]);
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
        {found.length === 0 && said.trim() !== '' && (
          <li className="quiet">Nothing in the shop is called that.</li>
        )}
      </ul>
    </Modal>
  );
}
