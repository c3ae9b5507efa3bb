import { ticketView } from './ticketView';

export type { ShortAnswer, SheetInShort } from './inShort';
export type { Step } from './line';
export type { Pack, PackLine } from './packs';
export type { Said } from './said';
export type { Bills, OfficeBlocks, SideOnTicket, TicketView } from './ticketView';

export const ticket = { ticketView } as const;
