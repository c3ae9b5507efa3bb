import type { Instant } from '../time/shopTime';
import type { ShareId } from './animal';

/** Something that was said to somebody outside the shop. */
export type Message = {
  readonly id: string;
  readonly kind: 'text' | 'mail';
  /** The telephone number, or the address. */
  readonly recipient: string;
  readonly name: string;
  readonly subject: string;
  readonly body: string;
  readonly shareId: ShareId;
  readonly at: Instant;
  readonly actorId: string;
};
