import { firstPlan } from './firstPlan';
import { costOfPlan, costOn, type WeekPlan, type WeekRoom } from './room';

/** One thing that somebody could give, and what it would save in points. */
export type Help =
  | { readonly kind: 'hour'; readonly at: number; readonly saves: number }
  | { readonly kind: 'open'; readonly at: number; readonly saves: number }
  | { readonly kind: 'promise'; readonly animal: number; readonly saves: number }
  | { readonly kind: 'pin'; readonly animal: number; readonly saves: number };

const HOUR = 60;

/** A day on which a closed shop would open: half a day. */
const HALF_DAY = 240;

/** Animals that a plan brings late for what was promised, past what they may hang, or nowhere. */
export function sticksOf({ animals }: WeekRoom, plan: WeekPlan): number[] {
  return animals.flatMap((animal, index) => {
    const at = plan[index] ?? null;
    const isBroken = animal.promise !== null && (at === null || at > animal.promise);
    return at === null || isBroken || at > animal.longest ? [index] : [];
  });
}

/**
 * The one thing whose giving up helps most, and the next: an hour more on a day, a closed day that opens for half of
 * it, a promise that is given up, an animal that need not stay where it was put. What each saves is what a plan that was
 * found with it costs less than the best without: never more than it can save.
 */
export function helpsFor(room: WeekRoom, plan: WeekPlan, most = 3): Help[] {
  const cost = costOfPlan(room, plan);
  const sticks = sticksOf(room, plan);
  if (sticks.length === 0) return [];
  const helps: Help[] = [];
  const saves = (relaxed: WeekRoom) => cost - costOfPlan(relaxed, firstPlan(relaxed, plan));
  room.days.forEach((day, at) => {
    const isOpen = day.block > 0;
    const more = isOpen
      ? { block: day.block + HOUR, bench: day.bench + HOUR }
      : { block: HALF_DAY, bench: HALF_DAY };
    const days = room.days.map((each, index) => (index === at ? { ...each, ...more } : each));
    helps.push({ kind: isOpen ? 'hour' : 'open', at, saves: saves({ ...room, days }) });
  });
  room.animals.forEach((animal, index) => {
    const others = (changed: typeof animal) => ({
      ...room,
      animals: room.animals.map((each, at) => (at === index ? changed : each)),
    });
    if (animal.promise !== null) {
      helps.push({ kind: 'promise', animal: index, saves: saves(others({ ...animal, promise: null })) });
    }
    if (animal.pinned !== null && costOn(room, animal, animal.pinned) > 0) {
      helps.push({ kind: 'pin', animal: index, saves: saves(others({ ...animal, pinned: null })) });
    }
  });
  return helps
    .filter((help) => help.saves > 0)
    .sort((a, b) => b.saves - a.saves)
    .slice(0, most);
}
