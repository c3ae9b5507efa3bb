import type { OpenSheet } from '@/server/sheet';
import type { Kept } from './sheetSaver';

/** What one person has not sent yet is nobody else's to send. */
function keyOf({ shareId, actorId }: OpenSheet): string {
  return `fractum-sheet-${shareId}-${actorId}`;
}

/** What was answered on this browser and had not reached the house; nothing when the sheet has moved on since. */
export function readKept(view: OpenSheet): Kept | undefined {
  try {
    const text = window.localStorage.getItem(keyOf(view));
    const kept = text ? (JSON.parse(text) as Kept) : undefined;
    return kept?.baseVersion === view.version && !view.locked ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** A browser without room keeps nothing: what is answered is sent all the same. */
export function writeKept(view: OpenSheet, kept: Kept | undefined): void {
  try {
    if (kept) window.localStorage.setItem(keyOf(view), JSON.stringify(kept));
    else window.localStorage.removeItem(keyOf(view));
  } catch {
    return;
  }
}
