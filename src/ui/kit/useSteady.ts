'use client';

import { useCallback, useEffect, useRef } from 'react';

/** A function that never changes and does what the last render's would do: what is given it need not be drawn again. */
export function useSteady<Args extends readonly unknown[], Output>(
  does: (...args: Args) => Output,
): (...args: Args) => Output {
  const latest = useRef(does);
  useEffect(() => {
    latest.current = does;
  });
  return useCallback((...args: Args) => latest.current(...args), []);
}
