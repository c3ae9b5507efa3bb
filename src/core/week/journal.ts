import type { AnimalId } from '../order/animal';
import type { Day } from '../time/shopTime';

/** What somebody says of the weeks ahead; the last word on a day or an animal holds. */
export type WeekWord =
  /** There are so many minutes on a day: somebody is away, a saw is broken, or more than usual. */
  | {
      readonly kind: 'hours';
      readonly day: Day;
      readonly block: number;
      readonly bench: number;
      readonly why: string;
    }
  /** As the shop's rules have it again. */
  | { readonly kind: 'usual'; readonly day: Day }
  /** Ready by a day, as it was promised; null where no promise stands any more. */
  | { readonly kind: 'promise'; readonly animalId: AnimalId; readonly day: Day | null }
  /** Cut on a day whatever is planned; null where it may move again. */
  | { readonly kind: 'pin'; readonly animalId: AnimalId; readonly day: Day | null }
  /** The plan that stands from now on. */
  | { readonly kind: 'plan'; readonly on: Readonly<Record<AnimalId, Day>> };

export type WeekEvent = WeekWord & {
  readonly id: string;
  readonly at: string;
  readonly actorId: string;
};

export type WeekStanding = {
  readonly hours: ReadonlyMap<Day, { readonly block: number; readonly bench: number; readonly why: string }>;
  readonly promises: ReadonlyMap<AnimalId, Day>;
  readonly pins: ReadonlyMap<AnimalId, Day>;
  readonly planned: ReadonlyMap<AnimalId, Day>;
  /** When the plan that stands was kept; empty before the first. */
  readonly plannedAt: string;
};

/** What holds after everything that was said, the first first. */
export function weekStanding(events: readonly WeekEvent[]): WeekStanding {
  const hours = new Map<Day, { block: number; bench: number; why: string }>();
  const promises = new Map<AnimalId, Day>();
  const pins = new Map<AnimalId, Day>();
  let planned = new Map<AnimalId, Day>();
  let plannedAt = '';
  const say = (map: Map<AnimalId, Day>, animalId: AnimalId, day: Day | null) =>
    day === null ? map.delete(animalId) : map.set(animalId, day);
  for (const event of events) {
    switch (event.kind) {
      case 'hours':
        hours.set(event.day, { block: event.block, bench: event.bench, why: event.why });
        break;
      case 'usual':
        hours.delete(event.day);
        break;
      case 'promise':
        say(promises, event.animalId, event.day);
        break;
      case 'pin':
        say(pins, event.animalId, event.day);
        break;
      case 'plan':
        planned = new Map(Object.entries(event.on) as [AnimalId, Day][]);
        plannedAt = event.at;
    }
  }
  return { hours, promises, pins, planned, plannedAt };
}
