'use client';

import { useEffect, useRef } from 'react';
import { FASTER_THAN_HANDS_MS, ScanReader } from './scan';

/** Keys that were held while a scanner might have been typing, given to the page after all. */
function giveBack(held: readonly KeyboardEvent[]): void {
  for (const { key, code, shiftKey, ctrlKey, target } of held) {
    const stroke = { key, code, shiftKey, ctrlKey, bubbles: true, cancelable: true };
    target?.dispatchEvent(new KeyboardEvent('keydown', stroke));
    target?.dispatchEvent(new KeyboardEvent('keyup', stroke));
  }
}

function isField(target: EventTarget | null): boolean {
  return target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
}

/** Hears a scanner that types like a keyboard; what it types reaches no other key. In a field it types into the field. */
export function useScan(onScan: (text: string) => void, enabled = true): void {
  const does = useRef(onScan);
  useEffect(() => {
    does.current = onScan;
  });
  useEffect(() => {
    if (!enabled) return undefined;
    const reader = new ScanReader();
    let held: KeyboardEvent[] = [];
    let timer: ReturnType<typeof setTimeout> | undefined;
    const release = () => {
      reader.rest();
      const keys = held;
      held = [];
      giveBack(keys);
    };
    const hear = (event: KeyboardEvent) => {
      // What was given back comes by here again.
      if (!event.isTrusted || isField(event.target) || event.altKey || event.metaKey) return;
      clearTimeout(timer);
      const { key, ctrlKey, repeat } = event;
      const heard = reader.press({ key, ctrlKey, repeat, at: event.timeStamp });
      if (heard === 'hand') return release();
      event.preventDefault();
      event.stopImmediatePropagation();
      if (heard === 'held') {
        if (key !== 'Shift') held.push(event);
        timer = setTimeout(release, FASTER_THAN_HANDS_MS);
      } else {
        held = [];
        does.current(heard.scan);
      }
    };
    window.addEventListener('keydown', hear, { capture: true });
    return () => {
      clearTimeout(timer);
      window.removeEventListener('keydown', hear, { capture: true });
    };
  }, [enabled]);
}
