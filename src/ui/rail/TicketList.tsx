'use client';

import Link from 'next/link';
import type { Stage } from '@/core/order/stage';
import type { Ticket, TicketPage } from '@/server/rail';
import { useLive } from '../kit/live/useLive';
import { Nothing } from '../kit/States';
import { useWho } from '../kit/Who';
import { ScanToOpen } from '../scan/ScanToOpen';
import { BLOCK_LIST, pageOf, STAGE_LISTS } from './stages';
import styles from './TicketList.module.css';

type Props = {
  stage: Stage;
  here: TicketPage;
  gone?: TicketPage;
  /** Each opens at the block. */
  atBlock?: boolean;
};

/** The tickets that hang at one stage, and below them those that have gone home, where that is of use. */
export function TicketList({ stage, here: first, gone, atBlock = false }: Props) {
  const { title, empty } = atBlock ? BLOCK_LIST : STAGE_LISTS[stage]!;
  const { value: here } = useLive('stageView', { stage, page: first.page }, first);
  return (
    <div className={styles.page}>
      <h1>{title}</h1>
      {stage === 'wrap' && <ScanToOpen opens={atBlock ? '/block' : '/wrap'} />}
      {here.tickets.length === 0 && here.page === 0 ? (
        <Nothing>{empty}</Nothing>
      ) : (
        <Tickets tickets={here.tickets} atBlock={atBlock} />
      )}
      <Pages list={here} name="page" />
      {gone && (gone.tickets.length > 0 || gone.page > 0) && (
        <>
          <h2 className={styles.gone}>Gone home</h2>
          <Tickets tickets={gone.tickets} />
          <Pages list={gone} name="gone" />
        </>
      )}
    </div>
  );
}

/** Back and on through a list that is longer than a page. */
function Pages({ list: { page, more }, name }: { list: TicketPage; name: string }) {
  if (page === 0 && !more) return null;
  return (
    <p className="quiet">
      {page > 0 && <Link href={`?${name}=${page - 1}`}>‹ those before</Link>}{' '}
      {more && <Link href={`?${name}=${page + 1}`}>those after ›</Link>}
    </p>
  );
}

type TicketsProps = { tickets: readonly Ticket[]; atBlock?: boolean };

export function Tickets({ tickets, atBlock = false }: TicketsProps) {
  const { role } = useWho();
  return (
    <ul className={styles.tickets}>
      {tickets.map((ticket) => (
        <li key={ticket.shareId} data-broken={ticket.broken || undefined}>
          <Link href={atBlock ? `/block/${ticket.shareId}` : pageOf(ticket.stage, ticket.shareId, role)}>
            <b className={styles.name}>{ticket.name}</b>
            <span className={styles.tag}>{ticket.tag}</span>
            <span className="quiet">
              {ticket.species.toLowerCase()} from {ticket.farm}
            </span>
            <span className={styles.fact}>{ticket.fact}</span>
            <span className={ticket.broken ? 'alarm' : styles.flag}>{ticket.flag}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
