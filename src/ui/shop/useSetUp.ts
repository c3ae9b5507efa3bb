'use client';

import type { SaidChange, SetUpView } from '@/server/shop';
import { useLive } from '../kit/live/useLive';
import { useAsk, type Asking } from '../kit/useAsk';

export type SetUpState = {
  readonly view: SetUpView;
  readonly change: (change: SaidChange) => ReturnType<Asking<'changeSetUp'>['ask']>;
} & Pick<Asking<'changeSetUp'>, 'busy' | 'refusal' | 'clear'>;

/** How the shop is set up, fresh after every step, and the way to make one. */
export function useSetUp(first: SetUpView): SetUpState {
  const { value: view } = useLive('setUpView', {}, first);
  const { ask, busy, refusal, clear } = useAsk('changeSetUp');
  return { view, change: (change) => ask({ change }), busy, refusal, clear };
}
