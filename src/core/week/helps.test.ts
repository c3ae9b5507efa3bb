import fc from 'fast-check';
import type { AnimalId } from '../order/animal';
import { daysAfter, type Day } from '../time/shopTime';
import { bestPlan } from './bestPlan';
import { helpsFor, sticksOf } from './helps';
import { weekStanding, type WeekEvent, type WeekWord } from './journal';
import { benchMinutes, blockMinutesOf } from './minutes';
import { lastCutFor, readyOn } from './ready';
import { costOfPlan, USUAL_WEIGHTS, type ToCut, type WeekRoom } from './room';

const MONDAY = '2026-11-23' as Day;

const animal = (id: string, more: Partial<ToCut> = {}): ToCut => ({
  ...{ id, species: 'hog', rite: '', block: 60, bench: 60, first: 0, target: 0, longest: 9 },
  ...{ promise: null, pinned: null, was: null },
  ...more,
});

const room = (minutes: readonly number[], animals: readonly ToCut[]): WeekRoom => ({
  days: minutes.map((each, at) => ({ day: daysAfter(MONDAY, at), block: each, bench: each, over: 0 })),
  animals,
  weights: USUAL_WEIGHTS,
  wash: { species: 18, rite: 27 },
});

describe('the one thing whose giving up helps most', () => {
  it('is an hour on the day that is full', async () => {
    const full = room([60, 60], [animal('a', { promise: 0 }), animal('b', { promise: 0 })]);
    const { plan } = await bestPlan(full);
    expect(sticksOf(full, plan)).toHaveLength(1);
    expect(helpsFor(full, plan)[0]).toEqual({ kind: 'hour', at: 0, saves: 960 });
  });

  it('is a closed day where an hour does not do, or a promise', async () => {
    const closed = room([0, 60], [animal('a', { block: 200, bench: 10, promise: 1 })]);
    const { plan } = await bestPlan(closed);
    expect(plan).toEqual([null]);
    expect(helpsFor(closed, plan)[0]).toMatchObject({ kind: 'open', at: 0 });
    expect(helpsFor(closed, plan).map(({ kind }) => kind)).toContain('promise');
  });

  it('is nothing where nothing sticks, and never saves more than the best week with it would', async () => {
    expect(helpsFor(room([60], [animal('a')]), [0])).toEqual([]);
    const minutes = fc.array(fc.constantFrom(0, 60, 120), { minLength: 2, maxLength: 3 });
    const promises = fc.array(fc.option(fc.integer({ min: 0, max: 2 }), { nil: null }), {
      minLength: 1,
      maxLength: 4,
    });
    await fc.assert(
      fc.asyncProperty(minutes, promises, async (each, said) => {
        const asked = room(
          each,
          said.map((promise, at) => animal(`a${at}`, { promise, target: at % 2 })),
        );
        const { plan, cost } = await bestPlan(asked);
        for (const help of helpsFor(asked, plan)) {
          const days = asked.days.map((day, at) =>
            help.kind === 'hour' && help.at === at
              ? { ...day, block: day.block + 60, bench: day.bench + 60 }
              : help.kind === 'open' && help.at === at
                ? { ...day, block: 240, bench: 240 }
                : day,
          );
          const animals = asked.animals.map((one, at) =>
            help.kind === 'promise' && help.animal === at ? { ...one, promise: null } : one,
          );
          const best = await bestPlan({ ...asked, days, animals });
          expect(help.saves).toBeLessThanOrEqual(cost - best.cost);
          expect(costOfPlan(asked, plan)).toBe(cost);
        }
      }),
      { numRuns: 25 },
    );
  }, 60_000);
});

describe('minutes and days of an animal', () => {
  it('a bone-in beef side with 90 lb of grind and 180 packs takes 168.6 minutes (P29)', () => {
    const bench = benchMinutes({ packs: 180, grindLb: 90, linksLb: 0, pattiesLb: 0, cures: 0 });
    expect(75 + bench).toBeCloseTo(168.6, 6);
    expect(benchMinutes({ packs: 0, grindLb: 0, linksLb: 10, pattiesLb: 10, cures: 2 })).toBeCloseTo(37, 6);
    expect(blockMinutesOf(180, 2)).toBeCloseTo(207, 6);
    expect(blockMinutesOf(180, 1)).toBe(180);
  });

  it('is ready three days after the block, twelve where it is cured (P30), and must be cut by then', () => {
    expect(readyOn('2026-11-16' as Day, false)).toBe('2026-11-19');
    expect(readyOn('2026-11-16' as Day, true)).toBe('2026-11-28');
    const days = [0, 1, 2, 3].map((at) => daysAfter(MONDAY, at));
    expect(lastCutFor(days, '2026-11-27' as Day, false)).toBe(1);
    expect(lastCutFor(days, '2026-11-27' as Day, true)).toBe(-1);
  });
});

describe('what was said of the weeks', () => {
  const [a, b] = ['a', 'b'] as AnimalId[];
  const said = (words: readonly WeekWord[]) =>
    weekStanding(words.map((word, at): WeekEvent => ({ ...word, id: `${at}`, at: `t${at}`, actorId: 'x' })));

  it('holds by the last word on each day and each animal', () => {
    const standing = said([
      { kind: 'hours', day: MONDAY, block: 0, bench: 100, why: 'the saw' },
      { kind: 'hours', day: daysAfter(MONDAY, 1), block: 60, bench: 60, why: 'Iver is away' },
      { kind: 'usual', day: MONDAY },
      { kind: 'promise', animalId: a!, day: MONDAY },
      { kind: 'promise', animalId: b!, day: MONDAY },
      { kind: 'promise', animalId: a!, day: null },
      { kind: 'pin', animalId: b!, day: MONDAY },
      { kind: 'plan', on: { [a!]: MONDAY } as never },
      { kind: 'plan', on: { [b!]: MONDAY } as never },
    ]);
    expect([...standing.hours.keys()]).toEqual([daysAfter(MONDAY, 1)]);
    expect([...standing.promises]).toEqual([[b, MONDAY]]);
    expect([...standing.pins]).toEqual([[b, MONDAY]]);
    expect([...standing.planned]).toEqual([[b, MONDAY]]);
    expect(standing.plannedAt).toBe('t8');
  });
});
