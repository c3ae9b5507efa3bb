import type { HouseEvent } from '@/server/house/events';

/** Whether a view may look otherwise after an event: views of one share do when it was touched, all others always. */
export function concerns({ shares }: HouseEvent, [, input]: readonly unknown[]): boolean {
  const shareId = (input as { shareId?: string } | undefined)?.shareId;
  return shareId === undefined || shares.some((each) => each === shareId);
}
