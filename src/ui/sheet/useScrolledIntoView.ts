'use client';

import { useEffect, useRef, type RefObject } from 'react';

/** Brings the open zone into view when another one is opened. */
export function useScrolledIntoView(opened: string): RefObject<HTMLDivElement | null> {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    void box.current?.scrollIntoView({ block: 'nearest' });
  }, [opened]);
  return box;
}
