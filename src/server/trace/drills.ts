import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { instant, type Instant } from '@/core/time/shopTime';
import { drillById, drillUnderWay, writeDrill, writeDrillEvent } from '@/data/dayBook';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { tracedFor } from './traced';

type Done = { readonly id: string };

/** A drill that is going on: since when, and who was reached so far. */
export type DrillUnderWay = {
  readonly id: string;
  readonly at: Instant;
  readonly reached: readonly ShareId[];
};

/** The drill of these words, if one is going on. */
export async function drillOf({ db }: House, words: string): Promise<DrillUnderWay | null> {
  const found = words === '' ? undefined : await drillUnderWay(db, words);
  if (!found) return null;
  const { events } = (await drillById(db, found.id))!;
  return {
    id: found.id,
    at: found.at,
    reached: events.flatMap(({ kind, shareId }) => (kind === 'reached' && shareId ? [shareId] : [])),
  };
}

/** Begins a drill of a recall: from now on the minutes count until everybody was reached. */
export const beginDrill = defineUseCase<{ clientId: string; words: string }, Done>({
  name: 'beginDrill',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, words: Joi.string().trim().min(1).max(300).required() }),
  subject: ({ words }) => words,
  run: async (house, { clientId: requestId, words }) => {
    if (await drillUnderWay(house.db, words)) {
      return refuse('already-taken', 'This drill is going on already. Load the page again.');
    }
    const traced = await tracedFor(house, words);
    if (!traced) return refuse('not-found', `No pack, no animal and no lot of this shop is called ${words}.`);
    const drillId = randomUUID();
    const by = { at: instant(house.now), actorId: house.actor.id };
    const counts = { households: traced.reached.length, packs: traced.packs };
    await writeDrill(house.db, { id: drillId, clientId: requestId, words, ...counts, ...by });
    return success({ id: drillId });
  },
});

/** A household of a drill was reached. */
export const reachInDrill = defineUseCase<{ clientId: string; drillId: string; shareId: ShareId }, Done>({
  name: 'reachInDrill',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, drillId: id, shareId: id }),
  subject: ({ drillId, shareId }) => `${drillId} ${shareId}`,
  run: async (house, { clientId: requestId, drillId, shareId }) => {
    const found = await drillById(house.db, drillId);
    if (!found) return refuse('not-found', 'There is no such drill. Load the page again.');
    const isOver = found.events.some(({ kind }) => kind === 'ended');
    if (isOver) return refuse('closed', 'This drill is over.');
    if (found.events.some((event) => event.shareId === shareId)) return success({ id: drillId });
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeDrillEvent(house.db, {
      ...{ id: randomUUID(), clientId: requestId, drillId, kind: 'reached', shareId },
      ...by,
    });
    return success({ id: drillId });
  },
});

/** Ends a drill: how many minutes it took stands in the book of the day. */
export const endDrill = defineUseCase<{ clientId: string; drillId: string }, Done>({
  name: 'endDrill',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, drillId: id }),
  subject: ({ drillId }) => drillId,
  run: async (house, { clientId: requestId, drillId }) => {
    const found = await drillById(house.db, drillId);
    if (!found) return refuse('not-found', 'There is no such drill. Load the page again.');
    if (found.events.some(({ kind }) => kind === 'ended')) return refuse('closed', 'This drill is over.');
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeDrillEvent(house.db, {
      ...{ id: randomUUID(), clientId: requestId, drillId, kind: 'ended', shareId: null },
      ...by,
    });
    return success({ id: drillId });
  },
});
