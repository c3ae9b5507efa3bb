import { findView } from './findView';
import { railView, stageView } from './railView';

export { restage, restageAll, unread } from './restage';
export type { Found } from './findView';
export type { Rail, TicketPage } from './railView';
export type { Ticket } from './ticket';

export const rail = { railView, stageView, findView } as const;
