import Link from 'next/link';
import type { Stage } from '@/core/order/stage';
import type { Ticket } from '@/server/views/rail';
import { pageOf, STAGE_LISTS } from './stages';
import styles from './TicketList.module.css';

type Props = { stage: Stage; tickets: readonly Ticket[] };

/** The tickets that hang at one stage, and below them those that have gone home, where that is of use. */
export function TicketList({ stage, tickets }: Props) {
  const { title, empty } = STAGE_LISTS[stage]!;
  const here = tickets.filter((ticket) => ticket.stage === stage);
  const gone = stage === 'settle' ? tickets.filter((ticket) => ticket.stage === null) : [];
  return (
    <div className={styles.page}>
      <h1>{title}</h1>
      {here.length === 0 ? <p className="quiet">{empty}</p> : <Tickets tickets={here} stage={stage} />}
      {gone.length > 0 && (
        <>
          <h2 className={styles.gone}>Gone home</h2>
          <Tickets tickets={gone} stage={null} />
        </>
      )}
    </div>
  );
}

export function Tickets({ tickets, stage }: { tickets: readonly Ticket[]; stage: Stage | null }) {
  return (
    <ul className={styles.tickets}>
      {tickets.map((ticket) => (
        <li key={ticket.shareId}>
          <Link href={pageOf(stage, ticket.shareId)}>
            <b className={styles.name}>{ticket.name}</b>
            <span className={styles.tag}>{ticket.tag}</span>
            <span className="quiet">
              {ticket.species.toLowerCase()} from {ticket.farm}
            </span>
            <span className={styles.fact}>{ticket.fact}</span>
            <span className={styles.flag}>{ticket.flag}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
