'use client';

import { useEffect, useState } from 'react';
import type { SignedReading } from '@/core/scale/reading';

export type ScaleState = { readonly reading: SignedReading | null; readonly away: boolean };

/** The scale's readings as they come; `away` while it does not answer. */
export function useScale(): ScaleState {
  const [state, setState] = useState<ScaleState>({ reading: null, away: false });
  useEffect(() => {
    const source = new EventSource('/api/scale');
    source.onmessage = (event: MessageEvent<string>) =>
      setState({ reading: JSON.parse(event.data) as SignedReading, away: false });
    const away = () => setState({ reading: null, away: true });
    source.addEventListener('away', away);
    source.onerror = away;
    return () => source.close();
  }, []);
  return state;
}
