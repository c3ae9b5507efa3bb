'use client';

import { useSyncExternalStore } from 'react';
import type { Signal } from './signal';

export function useSignal<Value>(signal: Signal<Value>): Value {
  return useSyncExternalStore(signal.subscribe, signal.get, signal.get);
}
