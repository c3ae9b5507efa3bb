import Joi from 'joi';
import { STAGES, type Stage } from '@/core/order/stage';
import { success } from '@/core/quantity/result';
import { sharesAt, stageCounts } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { defineUseCase, STAFF } from '../house/useCase';
import { eyesOf, ticketOf, type Ticket } from './ticket';

export type Rail = {
  readonly shop: { readonly name: string; readonly unit: 'lb' | 'kg'; readonly demo: boolean };
  readonly counts: Readonly<Record<Stage, number>>;
};

/** The rail itself: the shop, and how many shares wait at each stage. */
export const railView = defineUseCase<Record<string, never>, Rail>({
  name: 'railView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async ({ db }) => {
    const { name, unit, demo } = await readShop(db);
    const waiting = await stageCounts(db);
    const counts = Object.fromEntries(STAGES.map((stage) => [stage, waiting.get(stage) ?? 0]));
    return success({ shop: { name, unit, demo }, counts: counts as Rail['counts'] });
  },
});

/** Tickets on one page of a list. */
const PAGE = 50;

export type TicketPage = {
  readonly tickets: readonly Ticket[];
  readonly page: number;
  /** Whether there are more after these. */
  readonly more: boolean;
};

/** What waits at a stage, longest first; of what has gone home, the latest first. A page at a time. */
export const stageView = defineUseCase<{ stage: Stage | 'gone'; page: number }, TicketPage>({
  name: 'stageView',
  roles: STAFF,
  writes: false,
  input: Joi.object({
    stage: Joi.valid(...STAGES, 'gone').required(),
    page: Joi.number().integer().min(0).max(100_000).default(0),
  }),
  run: async (house, { stage, page }) => {
    const eyes = await eyesOf(house);
    const rows = await sharesAt(house.db, stage, { offset: page * PAGE, limit: PAGE + 1 });
    const tickets = rows.slice(0, PAGE).map((row) => ticketOf(row, eyes));
    return success({ tickets, page, more: rows.length > PAGE });
  },
});
