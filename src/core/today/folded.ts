import type { Due, Task } from './tasks';

/** Like things that are due together, and that nobody reads one by one. */
export type Fold = { readonly key: string; readonly due: Due; readonly tasks: readonly Task[] };

/** More than these are told as one: "6 sides to weigh cold". */
const MOST_SINGLE = 3;

const dueKey = (due: Due) => (due.when === 'late' ? 'late' : due.when === 'today' ? due.at : due.day);

/** Tasks as they are shown: like ones that are due together beyond three are folded to one, in the place of the first. */
export function folded(tasks: readonly Task[]): Fold[] {
  const folds: { key: string; due: Due; tasks: Task[] }[] = [];
  const places = new Map<string, number>();
  const like = (task: Task) => `${task.kind} ${dueKey(task.due)}`;
  const counts = new Map<string, number>();
  for (const task of tasks) counts.set(like(task), (counts.get(like(task)) ?? 0) + 1);
  for (const task of tasks) {
    const key = like(task);
    const place = places.get(key);
    if (counts.get(key)! > MOST_SINGLE && place !== undefined) folds[place]!.tasks.push(task);
    else {
      places.set(key, folds.length);
      folds.push({ key: task.key, due: task.due, tasks: [task] });
    }
  }
  return folds;
}
