'use client';

import { useEffect, useState } from 'react';
import type { ShareId } from '@/core/order/animal';
import type { Found } from '@/server/rail';
import { act } from '../kit/act';

/** Milliseconds of quiet before the house is asked. */
const QUIET_BEFORE_ASKING = 80;

type Answered = { readonly said: string; readonly found: Found | undefined; readonly problem: string };

export type Finding = {
  readonly found: Found | undefined;
  /** Whether it answers what is said now, and not what was said a moment ago. */
  readonly current: boolean;
  /** Why nothing was found that could be believed: `offline`, or a sentence; empty when all is well. */
  readonly problem: string;
  readonly askNow: () => Promise<Found | undefined>;
};

/** What the house finds for what was said; what is typed meanwhile wins. */
export function useFound(said: string, shareId: string | undefined): Finding {
  const [answered, setAnswered] = useState<Answered>({ said: '', found: undefined, problem: '' });
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(async () => {
      const answer = await find(said, shareId);
      if (stale) return;
      const problem = answer.ok ? '' : answer.reason === 'offline' ? 'offline' : answer.message;
      setAnswered({ said, found: answer.ok ? answer.value : undefined, problem });
    }, QUIET_BEFORE_ASKING);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [said, shareId]);
  const { found, problem } = answered;
  const askNow = async () => {
    const answer = await find(said, shareId);
    return answer.ok ? answer.value : undefined;
  };
  return { found, current: answered.said === said, problem, askNow };
}

function find(words: string, shareId: string | undefined) {
  return act('findView', { words, ...(shareId ? { shareId: shareId as ShareId } : {}) });
}
