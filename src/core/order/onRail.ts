import type { Instant } from '../time/shopTime';
import type { SideId } from './animal';

export const RAIL_DOES = ['moved', 'covered', 'bared', 'held', 'let go'] as const;

/** Something that was done to a side while it hung. */
export type RailEvent = {
  readonly id: string;
  readonly clientId: string;
  readonly sideId: SideId;
  readonly kind: (typeof RAIL_DOES)[number];
  /** Of a move; empty otherwise. */
  readonly rail: string;
  readonly foot: number | null;
  readonly reason: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** How a side hangs now. */
export type OnRail = {
  readonly at?: { readonly rail: string; readonly foot: number };
  /** Null where nobody has said. */
  readonly covered: boolean | null;
  /** Why it is held and must not go to the block; empty when it is not. */
  readonly held: string;
};

/** How a side hangs after all that was done to it. */
export function onRailAfter(events: readonly RailEvent[]): OnRail {
  const last = (...kinds: RailEvent['kind'][]) => events.findLast(({ kind }) => kinds.includes(kind));
  const moved = last('moved');
  const cover = last('covered', 'bared');
  const held = last('held', 'let go');
  return {
    ...(moved && moved.foot !== null ? { at: { rail: moved.rail, foot: moved.foot } } : {}),
    covered: cover ? cover.kind === 'covered' : null,
    held: held?.kind === 'held' ? held.reason : '',
  };
}
