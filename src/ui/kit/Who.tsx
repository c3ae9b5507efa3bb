'use client';

import { createContext, useContext, type ReactNode } from 'react';

export type Who = { readonly id: string; readonly name: string; readonly role: string };

const WhoContext = createContext<Who | null>(null);

/** Who is signed in on this page. */
export function WhoIsHere({ who, children }: { who: Who; children: ReactNode }) {
  return <WhoContext.Provider value={who}>{children}</WhoContext.Provider>;
}

/** @throws Error on a page that nobody is signed in to see */
export function useWho(): Who {
  const who = useContext(WhoContext);
  if (!who) throw new Error('nobody is signed in on this page');
  return who;
}
