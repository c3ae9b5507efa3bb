import type { Call } from './call';

/** A call is kept for the person who types it, in this browser, until it is booked. */
const nameOf = (actorId: string) => `fractum.call.${actorId}`;

export function keep(actorId: string, call: Call): void {
  try {
    localStorage.setItem(nameOf(actorId), JSON.stringify(call));
  } catch {
    // A browser that keeps nothing loses only what a reload would have brought back.
  }
}

export function readKept(actorId: string): Call | undefined {
  try {
    const kept = localStorage.getItem(nameOf(actorId));
    return kept ? (JSON.parse(kept) as Call) : undefined;
  } catch {
    return undefined;
  }
}

export function forget(actorId: string): void {
  try {
    localStorage.removeItem(nameOf(actorId));
  } catch {
    // Nothing was kept either.
  }
}
