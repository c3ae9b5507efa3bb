import fc from 'fast-check';
import { daysAfter, type Day } from '../time/shopTime';
import { firstFull, isOpen, nextDays, nextOpen, roomTaken, weekdayOf, type Hanging } from './room';

const WEEK = { open: [1, 2, 3, 4, 5], holidays: ['2026-12-25'] };
const days = (from: string, count: number) => Array.from({ length: count }, (_, at) => daysAfter(from, at));

describe('the days of a shop', () => {
  it('are those of its week, without its holidays', () => {
    expect(weekdayOf('2026-11-26')).toBe(4);
    expect(isOpen('2026-12-25', WEEK)).toBe(false);
    expect(nextOpen('2026-12-25', WEEK)).toBe('2026-12-28');
    expect(nextDays('2026-11-26', [1, 4], WEEK, 3)).toEqual(['2026-11-26', '2026-11-30', '2026-12-03']);
  });
});

describe('room', () => {
  const steer: Hanging = { feet: 4.5, minutes: 180, killDate: '2026-11-30', targetDay: '2026-12-14' };

  it('is taken on the rail from the kill to the day of cutting, and on the block on that day', () => {
    const taken = roomTaken(days('2026-11-29', 17), [steer], WEEK);
    expect(taken.filter(({ feet }) => feet > 0)).toHaveLength(14);
    expect(taken.filter(({ minutes }) => minutes > 0).map(({ day }) => day)).toEqual(['2026-12-14']);
  });

  it('says which day is full first, and nothing of rails that nobody has named', () => {
    const taken = roomTaken(days('2026-11-30', 3), [steer, steer], WEEK);
    expect(firstFull(taken, { feet: 8, minutes: 420 })).toEqual({ day: '2026-11-30', what: 'rail', over: 1 });
    expect(firstFull(taken, { feet: 0, minutes: 420 })).toBeUndefined();
    expect(firstFull(taken, { feet: 9, minutes: 420 })).toBeUndefined();
  });

  it('adds up: every foot for as many days as it hangs, every minute once', () => {
    const anyHanging = fc.record({
      feet: fc.integer({ min: 1, max: 9 }),
      minutes: fc.integer({ min: 10, max: 200 }),
      killDate: fc.integer({ min: 0, max: 20 }).map((later): string => daysAfter('2026-11-02', later)),
      hangs: fc.integer({ min: 0, max: 30 }),
    });
    fc.assert(
      fc.property(fc.array(anyHanging, { maxLength: 12 }), (said) => {
        const hanging = said.map(({ hangs, ...each }) => ({
          ...each,
          targetDay: daysAfter(each.killDate, hangs) as string,
        }));
        const taken = roomTaken(days('2026-11-01', 80), hanging, WEEK);
        const total = (of: (room: { feet: number; minutes: number }) => number) =>
          taken.reduce((sum, room) => sum + of(room), 0);
        expect(total(({ minutes }) => minutes)).toBe(hanging.reduce((sum, each) => sum + each.minutes, 0));
        const feetDays = hanging.reduce((sum, each) => {
          const cutOn: Day = nextOpen(each.targetDay, WEEK);
          return sum + each.feet * days(each.killDate, 80).filter((day) => day < cutOn).length;
        }, 0);
        expect(total(({ feet }) => feet)).toBe(feetDays);
      }),
    );
  });
});
