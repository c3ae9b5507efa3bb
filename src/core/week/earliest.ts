import { firstPlan } from './firstPlan';
import type { ToCut, WeekPlan, WeekRoom } from './room';

/**
 * On which day one more animal would be cut, with everything that is planned already beside it; null where none of the
 * days has room, or it hangs longer than they go.
 *
 * @param plan - what stands; days of animals that are new to it are found first
 */
export function dayOfOneMore(room: WeekRoom, plan: WeekPlan, one: ToCut): number | null {
  // What hangs past the last of the days is not decided yet.
  if (one.target >= room.days.length) return null;
  // The others stand still: somebody on the telephone moves nobody's day.
  const known = firstPlan(heldStill(room, plan), plan);
  const still = heldStill(room, known);
  return firstPlan({ ...still, animals: [...still.animals, one] }, [...known, null]).at(-1) ?? null;
}

function heldStill(room: WeekRoom, plan: WeekPlan): WeekRoom {
  const animals = room.animals.map((animal, at) => ({ ...animal, pinned: plan[at] ?? animal.pinned }));
  return { ...room, animals };
}
