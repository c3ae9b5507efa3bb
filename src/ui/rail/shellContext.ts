'use client';

import { createContext, useContext } from 'react';

/** What lies open over any page. */
export type Opened = 'palette' | 'keys' | null;

export const ShellContext = createContext<(opened: Opened) => void>(() => undefined);

/** Opens the palette or the list of keys from a button. */
export function useOpen(): (opened: Opened) => void {
  return useContext(ShellContext);
}
