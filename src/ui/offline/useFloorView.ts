'use client';

import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { InputOf, OutputOf, UseCaseName } from '@/server/useCases';
import { useLive, type Live } from '../kit/live/useLive';
import { keepView, keptView, type Dated } from './keptViews';

/** Views of the floor, each with when it was read. */
type DatedName = { [Name in UseCaseName]: OutputOf<Name> extends Dated ? Name : never }[UseCaseName];

/**
 * A live view that outlasts the network: a page that was opened again without it goes on from what this device has seen
 * last, not from when the page was kept.
 */
export function useFloorView<Name extends DatedName>(
  name: Name,
  input: InputOf<Name>,
  first: OutputOf<Name>,
): Live<OutputOf<Name>> {
  const client = useQueryClient();
  const live = useLive(name, input, first);
  const value = live.value as OutputOf<Name> & Dated;
  const key = `${name} ${JSON.stringify(input)}`;
  useEffect(() => {
    const kept = keptView<typeof value>(key);
    if (kept && kept.readAt > value.readAt) client.setQueryData([name, input], kept);
    else keepView(key, value);
    // The key says what the input is.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [client, key, value]);
  return live;
}
