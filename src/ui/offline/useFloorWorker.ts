'use client';

import { useEffect } from 'react';

/** Has the device keep the pages of the floor; once on each page of somebody who works in the shop. */
export function useFloorWorker(): void {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    // A browser that forbids it works as before, with the network.
    navigator.serviceWorker.register('/floor-worker.js').catch(() => undefined);
  }, []);
}
