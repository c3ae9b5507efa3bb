'use client';

import { useCallback, useState } from 'react';
import { sound } from './sound';

export type Notice = { readonly kind: 'done' | 'refused'; readonly words: string };

/** How long a flash of the screen stands. */
const FLASH_MS = 450;

/** What the wrap table last said: in words, with a tone and a flash for a loud room. */
export function useNotice() {
  const [notice, setNotice] = useState<Notice | null>(null);
  const [flash, setFlash] = useState<Notice['kind'] | null>(null);
  const say = useCallback((kind: Notice['kind'], words: string) => {
    sound(kind);
    setNotice({ kind, words });
    setFlash(kind);
    setTimeout(() => setFlash(null), FLASH_MS);
  }, []);
  const clear = useCallback(() => setNotice(null), []);
  return { notice, flash, say, clear };
}
