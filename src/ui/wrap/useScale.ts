'use client';

import { useEffect, useState } from 'react';
import type { SignedReading } from '@/core/scale/reading';
import { listen } from '../kit/live/hub';
import type { Topic } from '../kit/live/stream';

export type ScaleState = { readonly reading: SignedReading | null; readonly away: boolean };

/** A scale's readings as they come; `away` while it does not answer. */
export function useScale(scale: Exclude<Topic, 'events'> = 'scale'): ScaleState {
  const [state, setState] = useState<ScaleState>({ reading: null, away: false });
  useEffect(
    () =>
      listen(scale, (heard) => {
        if (heard.kind === 'said')
          setState({ reading: JSON.parse(heard.data) as SignedReading, away: false });
        if (heard.kind === 'away') setState({ reading: null, away: true });
      }),
    [scale],
  );
  return state;
}
