import type { ShareId } from '@/core/order/animal';
import type { Due } from '@/core/today/tasks';
import type { TaskShown } from '@/server/today';
import { actOf } from './acts';
import { rowsOf } from './rows';

let count = 0;
function task(due: Due, kind: TaskShown['kind'] = 'answer'): TaskShown {
  count += 1;
  return {
    key: `${kind} ${count}`,
    kind,
    stage: 'sheet',
    shareIds: [`s${count}` as ShareId],
    due,
    title: 'Ysolde Marrack, right half',
    about: 'beef B041',
    words: '2 questions open',
    question: '',
    phone: '',
    owed: '',
  };
}

describe('the day in lines', () => {
  it('what is due together stands on one line, with its hour', () => {
    const rows = rowsOf({
      tasks: [
        task({ when: 'late', days: 2 }),
        task({ when: 'late', days: 1 }),
        task({ when: 'today', at: '10:30', hour: 'block' }),
        task({ when: 'today', at: '12:00', hour: 'calls' }),
        task({ when: 'today', at: '12:00', hour: 'calls' }, 'approve'),
        task({ when: 'soon', day: '2026-11-26' as never }),
      ],
    });
    expect(rows.map((row) => [row.figure, row.words, row.folds.length])).toEqual([
      ['2', 'days late', 1],
      ['1', 'day late', 1],
      ['10:30', 'block', 1],
      ['noon', 'calls', 2],
      ['26 Nov', 'to wait for', 1],
    ]);
  });

  it('many like things are one tag, and keep what each of them is', () => {
    const due = { when: 'today', at: '17:00', hour: 'close' } as const;
    const [row] = rowsOf({ tasks: Array.from({ length: 5 }, () => task(due, 'collect')) });
    expect(row!.folds.map((fold) => fold.tasks.length)).toEqual([5]);
    expect(row!.folds[0]!.tasks[4]).toHaveProperty('owed', '');
  });

  it('each thing leads to where it is done', () => {
    expect(actOf({ kind: 'weigh-cold', shareIds: ['s1' as ShareId] })).toEqual({
      does: 'Weigh cold',
      page: '/hang',
    });
    expect(actOf({ kind: 'reconcile', shareIds: ['s1' as ShareId] }).page).toBe('/reconcile/s1');
  });
});
