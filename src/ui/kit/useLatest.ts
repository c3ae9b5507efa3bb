'use client';

import { useEffect, useRef, type RefObject } from 'react';

/** The value of the last render, for what is called later: a callback that never changes can read it. */
export function useLatest<Value>(value: Value): RefObject<Value> {
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  });
  return latest;
}
