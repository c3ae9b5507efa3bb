import type { ShareId } from '../order/animal';
import type { Instant } from '../time/shopTime';
import { whoDid, type HandTask, type HandWork } from './handWork';
import { FULL, levelAt, levelOf } from './levels';
import type { BlockStepMark } from './work';

const at = '2026-01-05T10:00:00.000Z' as Instant;
const base = { clientId: 'c', shareId: 's' as ShareId, at };
const mark = (step: string, actorId: string, done = true): BlockStepMark => ({
  ...base,
  id: `${step} ${actorId}`,
  hand: 'left',
  step,
  done,
  actorId,
});
const said = (task: HandTask, personId: string, hand: HandWork['hand'] = 'left'): HandWork => ({
  ...base,
  ...{ id: `${task} ${personId}`, hand, task, personId, actorId: 'x' },
});

describe('who cut, boned and trimmed', () => {
  it('is whoever did most of the steps, until somebody says another', () => {
    const marks = [
      mark('a', 'Iver'),
      mark('b', 'Pim'),
      mark('c', 'Pim'),
      mark('c', 'Pim', false),
      mark('d', 'Iver'),
    ];
    expect(whoDid([], marks, 'left')).toEqual(new Map([['cut', 'Iver']]));
    expect(whoDid([], marks, 'right')).toEqual(new Map());
    const now = whoDid([said('cut', 'Maren'), said('boned', 'Pim'), said('boned', 'Iver')], marks, 'left');
    expect(now).toEqual(
      new Map([
        ['cut', 'Maren'],
        ['boned', 'Iver'],
      ]),
    );
    expect(whoDid([said('trimmed', 'Pim', 'right')], marks, 'left').has('trimmed')).toBe(false);
  });
});

describe('a level at the block', () => {
  it('is the last that was given by then; whoever was given none cuts fully', () => {
    const given = [
      { personId: 'Pim', level: 1 as const, at: '2026-01-05T10:00:00.000Z' as Instant, actorId: 'm' },
      { personId: 'Pim', level: 2 as const, at: '2026-02-05T10:00:00.000Z' as Instant, actorId: 'm' },
    ];
    expect(levelAt(given, 'Pim', '2026-01-01T00:00:00.000Z' as Instant)).toBe(FULL);
    expect(levelAt(given, 'Pim', '2026-01-06T00:00:00.000Z' as Instant)).toBe(1);
    expect(levelAt(given, 'Pim', '2026-03-06T00:00:00.000Z' as Instant)).toBe(2);
    expect(levelAt(given, 'Iver', '2026-03-06T00:00:00.000Z' as Instant)).toBe(FULL);
    expect([levelOf({}), levelOf({ level: 1 })]).toEqual([FULL, 1]);
  });
});
