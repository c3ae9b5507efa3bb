'use client';

import { createContext, useContext } from 'react';
import type { InputOf, OutputOf, UseCaseName } from '@/server/useCases';
import { act, type Answer } from './act';

/** How a page asks the house: by the staff's door, or by the private link that it was opened by. */
export type Door = <Name extends UseCaseName>(
  name: Name,
  input: InputOf<Name>,
) => Promise<Answer<OutputOf<Name>>>;

const DoorContext = createContext<Door>(act);

export const DoorProvider = DoorContext.Provider;

export function useDoor(): Door {
  return useContext(DoorContext);
}
