import { folded, type Fold } from '@/core/today/folded';
import type { Due } from '@/core/today/tasks';
import { dayWords } from '@/core/time/shopTime';
import type { TaskShown, Today } from '@/server/today';

/** What is due together: one line of the day with its hour at the left. */
export type DayRow = {
  readonly key: string;
  readonly when: Due['when'];
  /** The figure at the left: days late, the hour, the day. */
  readonly figure: string;
  readonly words: string;
  readonly folds: readonly (Omit<Fold, 'tasks'> & { readonly tasks: readonly TaskShown[] })[];
};

const HOURS = { '': '', block: 'block', calls: 'calls', close: 'doors close' } as const;

function headOf(due: Due): Omit<DayRow, 'key' | 'folds'> {
  if (due.when === 'late') {
    const words = due.days === 0 ? 'now' : due.days === 1 ? 'day late' : 'days late';
    return { when: 'late', figure: due.days === 0 ? '!' : String(due.days), words };
  }
  if (due.when === 'soon') return { when: 'soon', figure: dayWords(due.day), words: 'to wait for' };
  const [hour, minute] = due.at.split(':') as [string, string];
  const figure = due.hour === 'calls' && due.at === '12:00' ? 'noon' : `${Number(hour)}:${minute}`;
  return { when: 'today', figure, words: HOURS[due.hour] };
}

/** The day as lines: what is late by how late, then hour by hour, then what is waited for. */
export function rowsOf({ tasks }: Pick<Today, 'tasks'>): DayRow[] {
  const rows: { key: string; head: Omit<DayRow, 'key' | 'folds'>; folds: DayRow['folds'][number][] }[] = [];
  for (const fold of folded(tasks.map((task) => ({ ...task, owed: 0 })))) {
    const head = headOf(fold.due);
    const key = `${head.when} ${head.figure} ${head.words}`;
    const shown = { ...fold, tasks: fold.tasks.map(({ key: of }) => tasks.find((task) => task.key === of)!) };
    const last = rows.at(-1);
    if (last?.key === key) last.folds.push(shown);
    else rows.push({ key, head, folds: [shown] });
  }
  return rows.map(({ key, head, folds }) => ({ key, ...head, folds }));
}
