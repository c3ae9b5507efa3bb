import { findView, railView, stageView } from './railView';

export { restageAll } from './restage';
export type { Rail, TicketPage } from './railView';
export type { Ticket } from './ticket';

export const rail = { railView, stageView, findView } as const;
