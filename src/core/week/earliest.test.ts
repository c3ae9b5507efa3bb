import { daysAfter, type Day } from '../time/shopTime';
import { dayOfOneMore } from './earliest';
import { USUAL_WEIGHTS, type ToCut, type WeekRoom } from './room';

const animal = (id: string, more: Partial<ToCut> = {}): ToCut => ({
  ...{ id, species: 'hog', rite: '', block: 60, bench: 60, first: 0, target: 0, longest: 9 },
  ...{ promise: null, pinned: null, was: null },
  ...more,
});

const room = (animals: readonly ToCut[], over = 0): WeekRoom => ({
  days: [60, 60, 60].map((minutes, at) => ({
    ...{ day: daysAfter('2026-11-23' as Day, at), block: minutes, bench: minutes, over },
  })),
  animals,
  weights: USUAL_WEIGHTS,
  wash: { species: 18, rite: 27 },
});

describe('one animal more', () => {
  it('is cut when it has hung, or on the next day that has room; nobody else is moved for it', () => {
    expect(dayOfOneMore(room([]), [], animal('new', { target: 1 }))).toBe(1);
    const full = room([animal('a', { target: 1 })]);
    expect(dayOfOneMore(full, [1], animal('new', { target: 1, first: 1 }))).toBe(2);
    // It would be better elsewhere, and stays all the same.
    expect(dayOfOneMore(full, [2], animal('new', { target: 2, first: 2 }))).toBeNull();
  });

  it('has no day where all are full, or where it hangs past the last of them', () => {
    const full = room(['a', 'b', 'c'].map((id) => animal(id)));
    expect(dayOfOneMore(full, [0, 1, 2], animal('new'))).toBeNull();
    expect(dayOfOneMore(room([]), [], animal('new', { target: 3, first: 3 }))).toBeNull();
  });
});
