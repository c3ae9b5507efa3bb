'use client';

import { useCallback, useMemo, useState } from 'react';
import type { Failure } from '@/core/quantity/result';
import type { InputOf, OutputOf, UseCaseName } from '@/server/useCases';
import { isUnanswered, type Answer } from './act';
import { AskedIds } from './asking';
import { useDoor } from './door';
import { weLookAgainAfter } from './live/own';
import { useRefreshLive } from './live/useLive';

/** What is asked, without the id that this hook gives it. */
export type Question<Name extends UseCaseName> =
  InputOf<Name> extends infer Input ? (Input extends unknown ? Omit<Input, 'clientId'> : never) : never;

export type Asking<Name extends UseCaseName> = {
  readonly ask: (question: Question<Name>) => Promise<Answer<OutputOf<Name>>>;
  readonly busy: boolean;
  /** The last refusal; null before, and after what was done. */
  readonly refusal: Failure<string> | null;
  readonly clear: () => void;
};

/**
 * The one way to ask the house to do something: an id that does it once, busy while it runs, the refusal as it was
 * said, and every live view on the page fresh afterwards.
 */
export function useAsk<Name extends UseCaseName>(name: Name): Asking<Name> {
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<Failure<string> | null>(null);
  const ids = useMemo(() => new AskedIds(), []);
  const refresh = useRefreshLive();
  const door = useDoor();
  const ask = useCallback(
    async (question: Question<Name>) => {
      setBusy(true);
      const clientId = ids.idFor(question);
      const input = { ...question, clientId } as unknown as InputOf<Name>;
      weLookAgainAfter(clientId);
      const answer = await door(name, input);
      ids.answered(answer.ok ? undefined : answer.reason);
      setRefusal(answer.ok ? null : answer);
      setBusy(false);
      if (answer.ok || isUnanswered(answer.reason)) refresh();
      return answer;
    },
    [door, ids, name, refresh],
  );
  const clear = useCallback(() => setRefusal(null), []);
  return { ask, busy, refusal, clear };
}
