import type { Instant } from '../time/shopTime';
import type { ShareId } from './animal';

/** What of a booking can be corrected later, and the word for it. */
export const FACT_WORDS = {
  tag: 'tag',
  sex: 'sex',
  killDate: 'kill day',
  farmName: 'farm',
  farmPhone: 'farm’s phone',
  ownerName: 'who eats it',
  ownerPhone: 'phone of who eats it',
  payerName: 'who pays',
  payerPhone: 'phone of who pays',
  contactName: 'whom to call',
  contactPhone: 'phone of whom to call',
} as const;
export type FactName = keyof typeof FACT_WORDS;
export type Facts = Readonly<Record<FactName, string>>;

/** A booked fact that was wrong: what stood there stays known. */
export type Correction = {
  readonly id: string;
  readonly shareId: ShareId;
  readonly field: FactName;
  readonly was: string;
  readonly now: string;
  readonly reason: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** An order that was called off. */
export type Cancellation = {
  readonly shareId: ShareId;
  readonly reason: string;
  readonly at: Instant;
  readonly actorId: string;
};
