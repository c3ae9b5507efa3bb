'use client';

import { Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { STAGES } from '@/core/order/stage';
import type { Ticket } from '@/server/views/rail';
import styles from './Palette.module.css';
import { pageOf, STAGE_WORDS } from './stages';

type Entry = { key: string; label: string; detail: string; page: string };

/** More than fit on the screen help nobody. */
const MOST_SHOWN = 9;

function entriesOf(tickets: readonly Ticket[]): Entry[] {
  return [
    ...tickets.map((ticket) => ({
      key: ticket.shareId,
      label: ticket.name,
      detail: `${ticket.tag} from ${ticket.farm}, ${ticket.stage ? STAGE_WORDS[ticket.stage].word : 'picked up'}`,
      page: pageOf(ticket.stage, ticket.shareId),
    })),
    ...STAGES.map((stage) => ({
      key: stage,
      label: STAGE_WORDS[stage].word,
      detail: 'stage',
      page: `/${stage}`,
    })),
  ];
}

/** One key opens it: jump to any order, tag, customer or stage by a part of the name. */
export function Palette({
  open,
  onClose,
  tickets,
}: {
  open: boolean;
  onClose: () => void;
  tickets: readonly Ticket[];
}) {
  const router = useRouter();
  const [said, setSaid] = useState('');
  const [at, setAt] = useState(0);
  const words = said.toLowerCase().split(/\s+/).filter(Boolean);
  const found = entriesOf(tickets)
    .filter((entry) => words.every((word) => `${entry.label} ${entry.detail}`.toLowerCase().includes(word)))
    .slice(0, MOST_SHOWN);
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
        placeholder="part of a name, tag or farm"
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
        {found.length === 0 && <li className="quiet">Nothing on the rail is called that.</li>}
      </ul>
    </Modal>
  );
}
