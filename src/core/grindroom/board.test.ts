import fc from 'fast-check';
import { bestDay, dayInOrder, USUAL_WASH, washBetween, type GrindJob } from './board';

const job = (id: string, change: Partial<GrindJob> = {}): GrindJob => ({
  id,
  shareId: id,
  species: 'hog',
  rite: '',
  allergens: [],
  leanPct: 75,
  ...change,
});

const anyJobs = fc
  .array(
    fc.record({
      shareId: fc.constantFrom('a', 'b', 'c'),
      species: fc.constantFrom('beef', 'lamb', 'hog'),
      rite: fc.constantFrom('' as const, '' as const, 'halal' as const),
      allergens: fc.constantFrom([], [], ['milk'], ['wheat'], ['milk', 'egg']),
      leanPct: fc.integer({ min: 60, max: 95 }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((jobs) => jobs.map((each, at) => ({ ...each, id: String(at) })));

function permutations<T>(list: readonly T[]): T[][] {
  if (list.length <= 1) return [[...list]];
  return list.flatMap((first, at) =>
    permutations([...list.slice(0, at), ...list.slice(at + 1)]).map((rest) => [first, ...rest]),
  );
}

describe('a day at the grinder', () => {
  it('washes no more than the best of all orders, and grinds every batch once', () => {
    fc.assert(
      fc.property(anyJobs, (jobs) => {
        const found = bestDay(jobs, USUAL_WASH);
        expect(found.order.map(({ id }) => id).sort()).toEqual(jobs.map(({ id }) => id).sort());
        const least = Math.min(...permutations(jobs).map((order) => dayInOrder(order, USUAL_WASH).minutes));
        expect(found.minutes).toBe(least);
      }),
      { numRuns: 150, seed: 20261127 },
    );
  });

  it('goes from rites and plain meat to allergens, beef before hog, the leanest first', () => {
    const day = bestDay(
      [
        job('cheddar', { allergens: ['milk'] }),
        job('fat', { leanPct: 70 }),
        job('lean', { leanPct: 85 }),
        job('beef', { species: 'beef' }),
        job('lamb', { species: 'lamb', rite: 'halal' }),
      ],
      USUAL_WASH,
    );
    expect(day.order.map(({ id }) => id)).toEqual(['lamb', 'beef', 'lean', 'fat', 'cheddar']);
    expect(day.order.map(({ wash }) => wash)).toEqual(['none', 'wet', 'species', 'scrape', 'wet']);
  });

  it('says what must be washed between two', () => {
    expect(washBetween(job('a'), job('b', { shareId: 'a' }))).toBe('none');
    expect(washBetween(job('a'), job('b'))).toBe('scrape');
    expect(washBetween(job('a'), job('b', { species: 'beef' }))).toBe('wet');
    expect(washBetween(job('a', { species: 'beef' }), job('b'))).toBe('species');
    expect(washBetween(job('a', { allergens: ['milk'] }), job('b'))).toBe('wet');
    expect(bestDay([], USUAL_WASH)).toEqual({ order: [], minutes: 0 });
  });

  it('refuses more kinds than can be looked at one by one', () => {
    const jobs = Array.from({ length: 17 }, (_, at) => job(String(at), { allergens: [String(at)] }));
    expect(() => bestDay(jobs, USUAL_WASH)).toThrow('at most 16');
    const most = jobs.slice(0, 16);
    expect(bestDay(most, USUAL_WASH).minutes).toBe(15 * USUAL_WASH.wet);
  });
});
