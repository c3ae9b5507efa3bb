import { bestPlan, type PlannedWeek } from './bestPlan';
import { helpsFor, type Help } from './helps';
import type { WeekRoom } from './room';

/** The best week that was found, and what would help most where something sticks. */
export type WeekFound = PlannedWeek & { readonly helps: readonly Help[] };

/** Plans the weeks, as it is done in a thread of its own. */
export async function weekJob(room: WeekRoom, onNews: (sofar: PlannedWeek) => void): Promise<WeekFound> {
  const best = await bestPlan(room, onNews);
  return { ...best, helps: helpsFor(room, best.plan) };
}
