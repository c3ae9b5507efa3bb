import fc from 'fast-check';
import { daysAfter, type Day } from '../time/shopTime';
import { bestPlan } from './bestPlan';
import { earliestDue, firstComeFirstServed, firstPlan } from './firstPlan';
import {
  byDay,
  costOfPlan,
  costOn,
  loadOf,
  USUAL_WEIGHTS,
  type ToCut,
  type WeekDay,
  type WeekRoom,
} from './room';

const MONDAY = '2026-11-23' as Day;
const WASH = { species: 18, rite: 27 };

const open = (at: number, minutes = 420): WeekDay => ({
  day: daysAfter(MONDAY, at),
  block: minutes,
  bench: minutes,
  over: 60,
});

const animal = (id: string, more: Partial<ToCut> = {}): ToCut => ({
  ...{ id, species: 'hog', rite: '', block: 60, bench: 60, first: 0, target: 1, longest: 9 },
  ...{ promise: null, pinned: null, was: null },
  ...more,
});

const roomOf = (days: readonly WeekDay[], animals: readonly ToCut[]): WeekRoom => ({
  ...{ days, animals, weights: USUAL_WEIGHTS, wash: WASH },
});

/** A small room out of any numbers. */
const small: fc.Arbitrary<WeekRoom> = fc
  .record({
    days: fc.array(
      fc.record({ minutes: fc.constantFrom(0, 60, 120, 180), over: fc.constantFrom(0, 30, 60) }),
      {
        minLength: 2,
        maxLength: 4,
      },
    ),
    animals: fc.array(
      fc.record({
        species: fc.constantFrom('beef', 'hog', 'lamb'),
        rite: fc.constantFrom('', '', 'halal'),
        block: fc.integer({ min: 10, max: 120 }),
        bench: fc.integer({ min: 0, max: 120 }),
        first: fc.integer({ min: 0, max: 2 }),
        target: fc.integer({ min: -2, max: 4 }),
        hangs: fc.integer({ min: 0, max: 3 }),
        promise: fc.option(fc.integer({ min: 0, max: 3 }), { nil: null }),
        was: fc.option(fc.integer({ min: 0, max: 1 }), { nil: null }),
        isPinned: fc.boolean(),
      }),
      { minLength: 1, maxLength: 5 },
    ),
  })
  .map(({ days, animals }) =>
    roomOf(
      days.map(({ minutes, over }, at) => ({ ...open(at, minutes), over: minutes === 0 ? 0 : over })),
      animals.map(({ hangs, isPinned, was, ...each }, at) => ({
        ...each,
        id: `a${at}`,
        was,
        longest: each.target + hangs,
        pinned: isPinned && at === 0 ? was : null,
      })),
    ),
  );

/** The least that any plan of a small room costs. */
function byBruteForce(room: WeekRoom): number {
  let least = Number.POSITIVE_INFINITY;
  const on: (number | null)[] = [];
  const next = () => {
    if (on.length === room.animals.length) {
      least = Math.min(least, costOfPlan(room, on));
      return;
    }
    for (const at of [null, ...room.days.keys()]) {
      on.push(at);
      next();
      on.pop();
    }
  };
  next();
  return least;
}

describe('the best week', () => {
  it('is as good as the best of all weeks, and its bound is never wrong, in two hundred small rooms', async () => {
    await fc.assert(
      fc.asyncProperty(small, async (room) => {
        const least = byBruteForce(room);
        const said: number[] = [];
        const best = await bestPlan(room, ({ bound, cost }) => said.push(bound, -cost));
        expect(best.cost).toBe(least);
        expect(best.isProven).toBe(true);
        // Every bound and every plan told on the way stands on its own side of the best.
        said.forEach((points) =>
          expect(points < 0 ? -points : least).toBeGreaterThanOrEqual(points < 0 ? least : points),
        );
        for (const plan of [firstPlan(room), firstComeFirstServed(room), earliestDue(room)]) {
          expect(costOfPlan(room, plan)).toBeGreaterThanOrEqual(least);
        }
      }),
      { numRuns: 200 },
    );
  }, 240_000);

  it('cuts what spoils first, keeps promises, and runs over only where that is worth more', async () => {
    const days = [open(0, 60), open(1, 60), open(2, 60)];
    const animals = [
      animal('patient', { target: 0 }),
      animal('spoils', { target: 0, longest: 0 }),
      animal('promised', { target: 2, promise: 1 }),
    ];
    const { plan, isProven } = await bestPlan(roomOf(days, animals));
    expect(isProven).toBe(true);
    expect(plan).toEqual([0, 0, 1]);
    // An hour over costs as much as a day late; two hours are not there.
    expect(loadOf(roomOf(days, animals), 0, byDay(roomOf(days, animals), plan)[0]!)).toMatchObject({
      block: 120,
      overBlock: 60,
    });
  });

  it('keeps species together where that saves a wash, and pork apart from another rite', async () => {
    const days = [open(0), open(1)];
    const both = ['beef', 'hog'].flatMap((species) =>
      [0, 1].map((at) => animal(`${species}${at}`, { species, target: 0, first: 0 })),
    );
    const { plan } = await bestPlan(
      roomOf(
        days,
        both.map((each) => ({ ...each, target: each.species === 'hog' ? 1 : 0 })),
      ),
    );
    expect(plan).toEqual([0, 0, 1, 1]);
    const mixed = loadOf(roomOf(days, both), 0, [
      both[0]!,
      both[2]!,
      animal('l', { species: 'lamb', rite: 'halal' }),
    ]);
    expect(mixed).toMatchObject({ washes: 2, washing: 2 * 18 + 27 });
  });

  it('moves as little as it can when a day is lost, and nothing that is pinned', async () => {
    const days = [open(0, 120), open(1, 120), open(2, 120), open(3, 120)];
    const animals = ['a', 'b', 'c', 'd'].map((id, at) =>
      animal(id, { target: at < 2 ? 0 : 1, was: at < 2 ? 0 : 1, pinned: at === 0 ? 0 : null }),
    );
    const before = await bestPlan(roomOf(days, animals));
    expect(before.plan).toEqual([0, 0, 1, 1]);
    const broken = roomOf(
      days.map((day, at) => (at === 1 ? { ...day, block: 0, bench: 0, over: 0 } : day)),
      animals,
    );
    const { plan } = await bestPlan(broken);
    expect(plan.slice(0, 2)).toEqual([0, 0]);
    expect(plan.slice(2)).toEqual([2, 2]);
  });

  it('says what no day has room for', async () => {
    const room = roomOf([open(0, 60)], [animal('a', { target: 0 }), animal('b', { block: 300, target: 0 })]);
    const { plan, cost } = await bestPlan(room);
    expect(plan).toEqual([0, null]);
    expect(cost).toBe(costOn(room, room.animals[1]!, null));
  });

  it('counts days by the calendar, over closed days too', () => {
    const days = [open(0), open(4), open(7)];
    const room = roomOf(days, []);
    expect(costOn(room, animal('a', { target: 0, longest: 9 }), 1)).toBe(4 * USUAL_WEIGHTS.late);
    expect(costOn(room, animal('a', { target: 2, longest: 9 }), 1)).toBe(3 * USUAL_WEIGHTS.early);
    expect(costOn(room, animal('a', { target: -2, longest: 9 }), 0)).toBe(2 * USUAL_WEIGHTS.late);
  });
});

describe('a room of eighty animals over three weeks', () => {
  it('has a plan within ten seconds, with a proof or a gap, better than first come first served', async () => {
    const days = Array.from({ length: 15 }, (_, at) => open(Math.floor(at / 5) * 7 + (at % 5), 420));
    const minutes = { beef: 180, hog: 55, lamb: 28 } as const;
    const kinds = ['beef', 'hog', 'hog', 'lamb'] as const;
    const animals = Array.from({ length: 80 }, (_, at): ToCut => {
      const species = kinds[at % 4]!;
      const target = Math.min(16, (at * 7) % 15);
      return animal(`a${at}`, {
        ...{ species, block: minutes[species], bench: Math.round(minutes[species] * 0.9) },
        ...{ target, longest: target + (species === 'hog' ? 3 : 7), first: Math.max(0, target - 3) },
        promise: at % 5 === 0 ? Math.min(14, target + 2) : null,
      });
    });
    const room = roomOf(days, animals);
    const began = Date.now();
    const best = await bestPlan(room);
    expect(Date.now() - began).toBeLessThan(20_000);
    expect(best.bound).toBeLessThanOrEqual(best.cost);
    for (const plan of [firstComeFirstServed(room), earliestDue(room)]) {
      expect(best.cost).toBeLessThan(costOfPlan(room, plan));
    }
    process.stdout.write(`${best.cost} of at least ${best.bound}, ${Date.now() - began} ms\n`);
  }, 60_000);
});
