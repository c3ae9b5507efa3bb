import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { adjustment, sideStanding } from '@/core/ledger/ledger';
import { failure, success, type Result } from '@/core/quantity/result';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import { balancesOfSides, writeTransaction } from '@/data/repositories/ledger';
import { allShares, allSides } from '@/data/repositories/orders';
import { readShop } from '@/data/repositories/shop';
import {
  allBlockStarts,
  allSideWeights,
  writeSideWeight,
  type SideWeight,
} from '@/data/repositories/railWork';
import { EVERYONE, defineUseCase, type House } from '../doorway';
import { clientId, id, thousandths } from './fields';

type Ticket = { clientId: string; sideId: string; kind: 'hot' | 'cold'; gross: number; tare: number };

/** Writes a hot or cold ticket of a side. A later ticket of the same kind corrects the earlier one. */
export const weighSide = defineUseCase<Ticket, { sideId: string }>({
  name: 'weighSide',
  roles: EVERYONE,
  writes: true,
  input: Joi.object({
    clientId,
    sideId: id,
    kind: Joi.valid('hot', 'cold').required(),
    gross: thousandths.positive().required(),
    tare: thousandths.required(),
  }),
  subject: (input) => `${input.kind} ${input.sideId}`,
  run: async (house, ticket) => {
    const tickets = await allSideWeights(house.db);
    if (tickets.some((each) => each.clientId === ticket.clientId)) return success({ sideId: ticket.sideId });
    const refused = await whyRefused(house, ticket, tickets);
    if (refused) return refused;
    await writeTicket(house, ticket);
    return success({ sideId: ticket.sideId });
  },
});

async function whyRefused(house: House, ticket: Ticket, tickets: readonly SideWeight[]) {
  const side = (await allSides(house.db)).find((each) => each.id === ticket.sideId);
  if (!side) return failure('not-found', 'There is no such side on the rail.');
  const share = (await allShares(house.db)).find(
    (each) => each.animalId === side.animalId && (each.part === 'whole' || each.part === side.position),
  );
  if ((await allBlockStarts(house.db)).some((start) => start.shareId === share?.id)) {
    return failure('on-the-block', 'This side has gone to the block; its rail weight stands.');
  }
  if (ticket.tare >= ticket.gross) {
    return failure('tare-too-big', 'The tare is as heavy as the weight. Check hook and trolley.', 'tare');
  }
  return coldAboveHot(ticket, tickets, (await readShop(house.db)).unit);
}

function coldAboveHot(
  ticket: Ticket,
  tickets: readonly SideWeight[],
  unit: string,
): Result<never> | undefined {
  const latest = (kind: SideWeight['kind']) =>
    tickets.findLast((each) => each.sideId === ticket.sideId && each.kind === kind);
  const net = ticket.gross - ticket.tare;
  const [hot, cold] = [latest('hot'), latest('cold')];
  const hotNet = ticket.kind === 'hot' ? net : hot && hot.gross - hot.tare;
  const coldNet = ticket.kind === 'cold' ? net : cold && cold.gross - cold.tare;
  if (hotNet === undefined) {
    return failure(
      'no-hot-weight',
      'Write the hot weight first; the cold weight is measured against it.',
      'gross',
    );
  }
  if (coldNet === undefined || coldNet <= hotNet) return undefined;
  const [saysCold, saysHot] = [coldNet, hotNet].map((w) => `${formatWeight(w as Weight)} ${unit}`);
  return failure(
    'heavier-than-hot',
    `Cold ${saysCold} is more than hot ${saysHot}. Check tag and tare.`,
    'gross',
  );
}

/** The ticket itself, and the ledger brought to what the tickets now say. The caller has checked it. */
export async function writeTicket(house: House, ticket: Ticket): Promise<void> {
  const earlier = await allSideWeights(house.db);
  const netNow = (kind: SideWeight['kind']) => {
    if (kind === ticket.kind) return (ticket.gross - ticket.tare) as Weight;
    const last = earlier.findLast((each) => each.sideId === ticket.sideId && each.kind === kind);
    return last && ((last.gross - last.tare) as Weight);
  };
  const current = await balancesOfSides(house.db, [ticket.sideId]);
  const changes = adjustment(current, sideStanding(ticket.sideId, netNow('hot')!, netNow('cold')));
  const at = house.now.toISOString();
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
    at,
    actorId: house.actor.id,
    transactionId,
  });
}
