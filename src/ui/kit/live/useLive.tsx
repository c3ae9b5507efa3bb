'use client';

import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import type { Failure } from '@/core/quantity/result';
import type { HouseEvent } from '@/server/house/events';
import type { InputOf, OutputOf, UseCaseName } from '@/server/useCases';
import { useDoor, type Door } from '../door';
import { listen } from './hub';
import { concerns } from './concerns';
import { isOurs } from './own';

/** A refusal on its way through the cache. */
class Refused extends Error {
  constructor(readonly failure: Failure<string>) {
    super(failure.message);
  }
}

/** What the page has shown before: going back brings the page as it was then. */
const shown = new WeakSet<object>();

/** Several things done at once are looked at once. */
const TOGETHER_MS = 60;

/** A page that took longer than this to come was not sent now; milliseconds. */
const FRESH_MS = 30_000;

function isOldPage(now: Date): boolean {
  const read = document.querySelector('meta[name="fractum-read"]')?.getAttribute('content');
  return read !== undefined && now.getTime() - Date.parse(read ?? '') > FRESH_MS;
}

function newClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        retry: false,
        networkMode: 'always',
        staleTime: Infinity,
        // A page that is opened again brings its own first view.
        gcTime: 0,
        refetchOnReconnect: true,
        refetchOnWindowFocus: true,
      },
    },
  });
}

/** Keeps what the live views of this page show, and looks again at what an event of the house concerns. */
export function LiveProvider({ children }: { children: ReactNode }) {
  const [client] = useState(newClient);
  // A page that this device kept is as old as it says: everything on it is looked at again.
  useEffect(() => {
    if (isOldPage(new Date())) void client.invalidateQueries();
  }, [client]);
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}

/** Follows what is done in the house, for the whole page. Once on each page, by whoever is signed in. */
export function useHouseEvents(): void {
  const client = useQueryClient();
  useEffect(() => {
    let heard: HouseEvent[] | 'all' = [];
    let timer: ReturnType<typeof setTimeout> | undefined;
    let wasAway = false;
    const look = () => {
      const [events, refetchType] = [heard, document.hidden ? 'none' : 'active'] as const;
      [heard, timer] = [[], undefined];
      void client.invalidateQueries({
        refetchType,
        predicate: ({ queryKey }) => events === 'all' || events.some((event) => concerns(event, queryKey)),
      });
    };
    const stop = listen('events', (said) => {
      if (said.kind === 'away') wasAway = true;
      if (said.kind === 'there' && wasAway) [heard, wasAway] = ['all', false];
      if (said.kind === 'said' && heard !== 'all') {
        const event = JSON.parse(said.data) as HouseEvent;
        if (!isOurs(event)) heard.push(event);
      }
      if (heard.length > 0) timer ??= setTimeout(look, TOGETHER_MS);
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [client]);
}

export type Live<Output> = {
  readonly value: Output;
  /** Why what is shown may be old; null while it is fresh. */
  readonly problem: Failure<string> | null;
  readonly reload: () => Promise<void>;
};

/** A view of the house that stays true: as it came with the page, then again whenever something concerns it. */
export function useLive<Name extends UseCaseName>(
  name: Name,
  input: InputOf<Name>,
  first: OutputOf<Name>,
): Live<OutputOf<Name>> {
  const door = useDoor();
  const { data, error, refetch } = useQuery<OutputOf<Name>, Refused>({
    queryKey: [name, input],
    queryFn: () => fetched(door, name, input),
    initialData: first,
  });
  const reload = useCallback(async () => {
    await refetch();
  }, [refetch]);
  useEffect(() => {
    const page = first as object;
    if (shown.has(page)) void refetch();
    shown.add(page);
  }, [first, refetch]);
  return { value: data as OutputOf<Name>, problem: error?.failure ?? null, reload };
}

/** A live view of what is chosen on the page: nothing until it has come. */
export function useLiveChosen<Name extends UseCaseName>(
  name: Name,
  input: InputOf<Name>,
): Partial<Pick<Live<OutputOf<Name>>, 'value'>> & Omit<Live<OutputOf<Name>>, 'value'> {
  const door = useDoor();
  const { data, error, refetch } = useQuery<OutputOf<Name>, Refused>({
    queryKey: [name, input],
    queryFn: () => fetched(door, name, input),
  });
  const reload = useCallback(async () => {
    await refetch();
  }, [refetch]);
  return { ...(data === undefined ? {} : { value: data }), problem: error?.failure ?? null, reload };
}

async function fetched<Name extends UseCaseName>(
  door: Door,
  name: Name,
  input: InputOf<Name>,
): Promise<OutputOf<Name>> {
  const answer = await door(name, input);
  if (!answer.ok) throw new Refused(answer);
  return answer.value;
}

/** Looks again at everything live on the page: what one has done oneself is seen without waiting for its event. */
export function useRefreshLive(): () => void {
  const client = useQueryClient();
  return useCallback(() => void client.invalidateQueries(), [client]);
}
