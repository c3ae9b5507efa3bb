'use client';

import { useEffect } from 'react';
import { act } from '../kit/act';
import { connection } from '../kit/live/hub';
import { useSignal } from '../kit/useSignal';
import { useWho } from '../kit/Who';
import type { InputOf } from '@/server/useCases';
import { Outbox } from './outbox';

const KEY = 'fractum-weighings';

/** Milliseconds between tries while something waits. */
const TRY_EVERY_MS = 3000;

/** What the floor has done on this device and is on its way, one queue for every page. */
export const outbox = new Outbox(
  {
    read: () => window.localStorage.getItem(KEY),
    write: (text) => window.localStorage.setItem(KEY, text),
  },
  ({ name, input }) => act(name, input as InputOf<typeof name>),
);

/** Sends what waits of the person signed in, from whatever page is open, until nothing does. Once on each page. */
export function useSending(): void {
  const { id } = useWho();
  const there = useSignal(connection);
  const waiting = useSignal(outbox.waiting);
  const mine = waiting.some((each) => each.actor.id === id && each.setAside === '');
  useEffect(() => {
    outbox.load();
    const changed = (event: StorageEvent) => event.key === KEY && outbox.load();
    window.addEventListener('storage', changed);
    return () => window.removeEventListener('storage', changed);
  }, []);
  useEffect(() => {
    if (!mine) return undefined;
    const send = () => void outbox.flush(id);
    send();
    const timer = setInterval(send, TRY_EVERY_MS);
    window.addEventListener('online', send);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [id, mine, there]);
}
