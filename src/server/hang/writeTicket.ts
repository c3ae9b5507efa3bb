import { randomUUID } from 'node:crypto';
import { adjustment, sideStanding } from '@/core/ledger/ledger';
import type { SideId } from '@/core/order/animal';
import { netOf } from '@/core/order/standing';
import type { Origin, SideWeight } from '@/core/order/work';
import type { Weight } from '@/core/quantity/weight';
import type { Instant } from '@/core/time/shopTime';
import { ticketsOfSides, writeSideWeight } from '@/data/hang';
import { balancesOf, writeTransaction } from '@/data/ledger';
import type { House } from '../house/useCase';

export type Ticket = {
  readonly clientId: string;
  readonly sideId: SideId;
  readonly kind: 'hot' | 'cold';
  readonly gross: number;
  readonly tare: number;
  readonly origin: Origin;
  readonly remark: string;
  readonly at: Instant;
};

/** The ticket itself, and the ledger brought to what the tickets now say. The caller has checked it. */
export async function writeTicket(house: House, ticket: Ticket): Promise<void> {
  const earlier = await ticketsOfSides(house.db, [ticket.sideId]);
  const netNow = (kind: SideWeight['kind']) => {
    if (kind === ticket.kind) return (ticket.gross - ticket.tare) as Weight;
    const last = earlier.findLast((each) => each.kind === kind);
    return last && netOf(last);
  };
  const current = await balancesOf(house.db, [ticket.sideId]);
  const changes = adjustment(current, sideStanding(ticket.sideId, netNow('hot')!, netNow('cold')));
  const { at } = ticket;
  const transactionId = changes.length > 0 ? randomUUID() : null;
  if (transactionId) {
    const entry = { id: transactionId, kind: `${ticket.kind}-weight`, at, actorId: house.actor.id };
    await writeTransaction(house.db, entry, changes);
  }
  await writeSideWeight(house.db, {
    id: randomUUID(),
    clientId: ticket.clientId,
    sideId: ticket.sideId,
    kind: ticket.kind,
    gross: ticket.gross as Weight,
    tare: ticket.tare as Weight,
    origin: ticket.origin,
    remark: ticket.remark,
    at,
    actorId: house.actor.id,
    transactionId,
  });
}
