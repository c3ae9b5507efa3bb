import fc from 'fast-check';
import type { AnimalId, ShareId } from '../order/animal';
import type { StageRow } from '../order/stageRow';
import type { Day, Instant } from '../time/shopTime';
import { folded } from './folded';
import { tasksOf, type ShopDay } from './tasks';

/** Wednesday 25 November, 9:40 by the shop's clock. */
const day: ShopDay = {
  now: new Date('2026-11-25T09:40:00Z'),
  zone: 'Europe/London',
  hours: { block: '10:30', calls: '12:00', close: '17:00' },
  sheetDays: 1,
  storageDays: 7,
  sent: new Set(),
};

let count = 0;
function row(change: Partial<StageRow>): StageRow {
  count += 1;
  return {
    shareId: `s${count}` as ShareId,
    animalId: `a${count}` as AnimalId,
    number: count,
    stage: 'sheet',
    since: '2026-11-25T08:00:00Z' as Instant,
    name: `Household ${count}, left half`,
    tag: `H${count}`,
    species: 'Hog',
    farm: 'Low Tarn',
    killDate: '2026-11-23' as Day,
    words: '',
    hasSheet: true,
    openQuestions: 0,
    question: '',
    doubts: 0,
    doubt: '',
    hasNote: false,
    onBlock: false,
    coldWeighed: true,
    coldWeight: 90_000 as never,
    packsMade: 0,
    packsAsked: 40,
    unaccountedBp: 160,
    verdict: 'usual',
    inCure: false,
    due: 0 as never,
    takenBy: '',
    chillsUntil: '2026-11-24T09:00:00Z' as Instant,
    targetDay: '2026-11-25' as Day,
    longestDay: '2026-11-28' as Day,
    cureSince: '',
    phone: '555 0149',
    broken: '',
    ...change,
  };
}

const one = (change: Partial<StageRow>) => tasksOf([row(change)], day)[0];

describe('what must happen today', () => {
  it('a sheet with open questions is answered the day before its block: by noon today, and late once it hangs its days', () => {
    const question = 'Shoulder, butt: nothing is said.';
    expect(one({ openQuestions: 8, question, targetDay: '2026-11-26' as Day })).toMatchObject({
      kind: 'answer',
      question,
      due: { when: 'today', at: '12:00' },
      words: '8 questions open, due on the block tomorrow',
      phone: '555 0149',
    });
    expect(one({ openQuestions: 8, targetDay: '2026-11-24' as Day })).toMatchObject({
      due: { when: 'late', days: 2 },
    });
    expect(one({ openQuestions: 8, targetDay: '2026-11-29' as Day })).toBeUndefined();
  });

  it('an answered sheet is approved before the block begins', () => {
    expect(one({})).toMatchObject({ kind: 'approve', due: { when: 'today', at: '10:30' }, phone: '' });
  });

  it('a side that has hung its days goes to the block, late from the day after', () => {
    const side = { stage: 'wrap' as const };
    expect(one(side)).toMatchObject({ kind: 'to-block', words: '2 of 2 days hung, the sheet stands' });
    expect(one({ ...side, targetDay: '2026-11-22' as Day, killDate: '2026-11-18' as Day })).toMatchObject({
      due: { when: 'late', days: 3 },
    });
    expect(one({ ...side, chillsUntil: '2026-11-25T12:00:00Z' as Instant })!.words).toContain(
      'still chilling',
    );
  });

  it('both sides of an animal are weighed cold together, at the hour at which they are chilled', () => {
    const warm = { stage: 'hang' as const, coldWeighed: false, animalId: 'a' as AnimalId };
    const at = { ...warm, chillsUntil: '2026-11-25T10:15:00Z' as Instant };
    expect(tasksOf([row(at), row(at)], day)).toMatchObject([
      {
        kind: 'weigh-cold',
        due: { when: 'today', at: '10:15' },
        shareIds: [{}, {}].map(() => expect.any(String)),
      },
    ]);
    expect(one({ ...warm, chillsUntil: '2026-11-26T04:00:00Z' as Instant })).toMatchObject({
      due: { when: 'soon', day: '2026-11-26' },
    });
  });

  it('an animal is weighed in on the day it comes, and says when it has no sheet', () => {
    const booked = { stage: 'book' as const, coldWeighed: false, chillsUntil: '' as const };
    const tasks = tasksOf(
      [row({ ...booked, killDate: '2026-11-25' as Day, hasSheet: false, targetDay: '2026-11-27' as Day })],
      day,
    );
    expect(tasks).toMatchObject([
      { kind: 'weigh-in', words: 'its hot weight is missing; no sheet yet' },
      { kind: 'answer', words: 'no sheet yet, due on the block 27 Nov', due: { when: 'soon' } },
    ]);
  });

  it('what lies in cure is waited for; what is packed is closed the same day; what is paid is collected', () => {
    const packed = { stage: 'reconcile' as const };
    expect(one({ ...packed, inCure: true, cureSince: '2026-11-19T10:00:00Z' as Instant })).toMatchObject({
      kind: 'in-cure',
      due: { when: 'soon' },
    });
    expect(one({ ...packed, since: '2026-11-23T10:00:00Z' as Instant })).toMatchObject({
      due: { when: 'late', days: 2 },
    });
    expect(one({ stage: 'settle', due: 15_457 as never })).toMatchObject({ kind: 'collect', owed: 15_457 });
  });

  it('what cannot be worked out stands first', () => {
    const tasks = tasksOf(
      [row({ openQuestions: 2, targetDay: '2026-11-20' as Day }), row({ broken: 'why' })],
      day,
    );
    expect(tasks.map((task) => task.kind)).toEqual(['broken', 'answer']);
  });

  it('the late come first, then the hours in their order, then what is waited for; nobody is there twice for one thing', () => {
    const stage = fc.constantFrom('book', 'hang', 'sheet', 'wrap', 'reconcile', 'settle') as fc.Arbitrary<
      StageRow['stage']
    >;
    const anyDay = fc
      .integer({ min: -10, max: 10 })
      .map((days) => new Date(day.now.getTime() + days * 86_400_000).toISOString().slice(0, 10) as Day);
    const anyRow = fc.record({
      stage,
      targetDay: anyDay,
      killDate: anyDay,
      openQuestions: fc.nat(3),
      hasSheet: fc.boolean(),
      onBlock: fc.boolean(),
      coldWeighed: fc.boolean(),
      inCure: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(anyRow, { maxLength: 30 }), (changes) => {
        const rows = changes.map((change) => row(change));
        const tasks = tasksOf(rows, day);
        const ranks = tasks.map(({ due }) => ['late', 'today', 'soon'].indexOf(due.when));
        expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
        const hours = tasks.flatMap(({ due }) => (due.when === 'today' ? [due.at] : []));
        expect(hours).toEqual([...hours].sort());
        const said = tasks.flatMap(({ kind, shareIds }) => shareIds.map((shareId) => `${kind} ${shareId}`));
        expect(new Set(said).size).toBe(said.length);
        // What is past its day is never left out.
        const late = rows.filter(
          (each) => each.targetDay < '2026-11-25' && (each.stage === 'wrap' || each.stage === 'sheet'),
        );
        for (const each of late) expect(said.join()).toContain(each.shareId);
        expect(folded(tasks).flatMap((fold) => fold.tasks)).toHaveLength(tasks.length);
      }),
      { numRuns: 300, seed: 2511 },
    );
  });

  it('many like things that are due together are told as one', () => {
    const rows = Array.from({ length: 6 }, () => row({}));
    const folds = folded(tasksOf([...rows, row({ stage: 'settle' })], day));
    expect(folds.map((fold) => fold.tasks.length)).toEqual([6, 1]);
  });
});
