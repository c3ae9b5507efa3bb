import type { HouseEvent } from '@/server/house/events';

/** What this page has asked: it looks again with the answer, and not a second time with the event. */
const own = new Set<string>();

/** Says that the page looks again by itself once what is asked with this id has come back, or has not. */
export function weLookAgainAfter(clientId: string): void {
  own.add(clientId);
}

/** Whether an event tells of what this page asked itself. */
export function isOurs({ clientId }: HouseEvent): boolean {
  return clientId !== undefined && own.has(clientId);
}
