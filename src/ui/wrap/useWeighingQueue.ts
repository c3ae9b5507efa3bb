'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Failure } from '@/core/quantity/result';
import type { InputOf, OutputOf } from '@/server/useCases';
import { act } from '../kit/act';

export type WeighInput = InputOf<'weigh'>;
export type Taken = OutputOf<'weigh'>;

/** Refusals that say nothing of the weighing itself: it stays here and is sent again. */
const NOT_ANSWERED: readonly string[] = ['offline', 'unexpected', 'not-signed-in'];

/** Milliseconds between tries while the network is away. */
const RETRY_EVERY = 3000;

function storeKey(shareId: string): string {
  return `fractum-weighings-${shareId}`;
}

function stored(shareId: string): WeighInput[] {
  try {
    return JSON.parse(window.localStorage.getItem(storeKey(shareId)) ?? '[]') as WeighInput[];
  } catch {
    return [];
  }
}

type Answers = {
  onTaken: (taken: Taken, input: WeighInput) => void;
  onRefused: (failure: Failure, input: WeighInput) => void;
};

/**
 * Weighings on their way: written in the browser before they are sent and kept until the house has answered,
 * so that neither a reload nor a lost network loses one. Each carries its id, so none is taken twice.
 */
export function useWeighingQueue(shareId: string, answers: Answers) {
  const [pending, setPending] = useState<readonly WeighInput[]>([]);
  const [offline, setOffline] = useState(false);
  const busy = useRef(false);
  const latest = useRef(answers);
  useEffect(() => {
    latest.current = answers;
  }, [answers]);

  const write = useCallback(
    (queue: WeighInput[]) => {
      if (queue.length === 0) window.localStorage.removeItem(storeKey(shareId));
      else window.localStorage.setItem(storeKey(shareId), JSON.stringify(queue));
      setPending(queue);
    },
    [shareId],
  );

  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    for (let next = stored(shareId)[0]; next; next = stored(shareId)[0]) {
      const sent = next;
      const result = await act('weigh', sent);
      const waiting = !result.ok && NOT_ANSWERED.includes(result.reason);
      setOffline(waiting);
      if (waiting) break;
      write(stored(shareId).filter((each) => each.clientId !== sent.clientId));
      if (result.ok) latest.current.onTaken(result.value, sent);
      else latest.current.onRefused(result, sent);
    }
    busy.current = false;
  }, [shareId, write]);

  useEffect(() => {
    queueMicrotask(() => {
      setPending(stored(shareId));
      void flush();
    });
    const timer = setInterval(() => stored(shareId).length > 0 && void flush(), RETRY_EVERY);
    const online = () => void flush();
    window.addEventListener('online', online);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', online);
    };
  }, [shareId, flush]);

  const add = useCallback(
    (input: WeighInput) => {
      write([...stored(shareId), input]);
      void flush();
    },
    [shareId, write, flush],
  );

  return { pending, offline, add };
}
