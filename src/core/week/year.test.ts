import fc from 'fast-check';
import { isOpen } from '../room/room';
import { daysAfter, type Day } from '../time/shopTime';
import { earliestDue, firstComeFirstServed, firstPlan } from './firstPlan';
import { yearOf, type Arrival } from './year';

const MONDAY = '2026-01-05' as Day;
const WEEK = { open: [1, 2, 3, 4, 5], holidays: [] };
const shop = (minutes: number) => ({
  dayOf: (day: Day) => ({
    block: isOpen(day, WEEK) ? minutes : 0,
    bench: isOpen(day, WEEK) ? minutes : 0,
    over: 60,
  }),
  wash: { species: 18, rite: 27 },
});

const KINDS = [
  { species: 'beef', block: 180, bench: 150, targetDays: 14, longestDays: 28 },
  { species: 'hog', block: 55, bench: 60, targetDays: 2, longestDays: 5 },
  { species: 'lamb', block: 28, bench: 30, targetDays: 5, longestDays: 10 },
] as const;

const arrivals = fc
  .array(fc.record({ kind: fc.constantFrom(...KINDS), day: fc.integer({ min: 0, max: 40 }) }), {
    minLength: 1,
    maxLength: 25,
  })
  .map((each) =>
    each.map(({ kind, day }, at): Arrival => ({
      ...kind,
      id: `a${at}`,
      rite: '',
      kill: daysAfter(MONDAY, day),
    })),
  );

describe('a year by a rule', () => {
  it('cuts everything that came, once, whatever the rule', async () => {
    await fc.assert(
      fc.asyncProperty(arrivals, async (year) => {
        for (const rule of [firstComeFirstServed, earliestDue, firstPlan]) {
          const figures = await yearOf(year, shop(420), (room) => rule(room));
          expect(figures.cut).toBe(year.length);
          for (const figure of Object.values(figures)) expect(figure).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 25 },
    );
  }, 60_000);

  it('cuts one hog on the day on which it has hung', async () => {
    const [hog] = [{ ...KINDS[1], id: 'h', rite: '', kill: MONDAY }];
    expect(await yearOf([hog], shop(420), (room) => firstPlan(room))).toEqual({
      ...{ cut: 1, daysLate: 0, daysEarly: 0, tooLong: 0, overtime: 0, washes: 0 },
    });
    // Over a weekend the day before is nearer than the day after.
    const friday = { ...hog, kill: daysAfter(MONDAY, 3) };
    expect(await yearOf([friday], shop(420), (room) => firstPlan(room))).toMatchObject({ daysEarly: 1 });
  });
});
