'use client';

import { useMemo } from 'react';
import { act } from '../kit/act';
import type { Door } from '../kit/door';
import type { Who } from '../kit/Who';
import { FLOOR_WRITES, type FloorWrite } from './outbox';
import { outbox } from './useOutbox';

/** What carries the moment at which it was done: it may wait here for the network. */
const TIMED: readonly string[] = ['weighSide', 'weighQuarter', 'noteLiveWeight', 'noteFound', 'sayWhoDid'];

const isFloorWrite = (name: string) => (FLOOR_WRITES as readonly string[]).includes(name);

function timed(name: string, input: unknown): unknown {
  return TIMED.includes(name) ? { ...(input as object), takenAt: new Date().toISOString() } : input;
}

/** The staff's door: what the floor writes goes through the device's queue, behind what was done before it. */
export function useFloorDoor({ id, name: by }: Who): Door {
  return useMemo<Door>(
    () => (name, input) =>
      isFloorWrite(name)
        ? (outbox.ask({ name, input: timed(name, input) } as unknown as FloorWrite, {
            id,
            name: by,
          }) as ReturnType<typeof act<typeof name>>)
        : act(name, input),
    [id, by],
  );
}
