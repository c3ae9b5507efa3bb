import fc from 'fast-check';
import { outcomesOf, unfairnessPct, type Lot, type SplitCounts, type SplitProblem } from './problem';
import { splitPackages, type Split } from './splitPackages';

const anyLot = fc.record({
  cut: fc.constantFrom('T-bone', 'chuck', 'ground', 'ribs'),
  packages: fc.integer({ min: 1, max: 3 }),
  weight: fc.integer({ min: 300, max: 4000 }),
  worth: fc.integer({ min: 300, max: 9000 }),
});

const anyParties = fc
  .constantFrom([50, 50], [25, 75], [40, 60], [100 / 3, 100 / 3, 100 / 3])
  .map((shares) => shares.map((sharePct, at) => ({ name: `party ${at + 1}`, sharePct })));

/** Every way of giving a number of packages to so many parties. */
function waysToGive(packages: number, parties: number): number[][] {
  if (parties === 1) return [[packages]];
  return Array.from({ length: packages + 1 }, (_, first) =>
    waysToGive(packages - first, parties - 1).map((rest) => [first, ...rest]),
  ).flat();
}

function evenByCut(problem: SplitProblem, counts: SplitCounts): boolean {
  const cuts = [...new Set(problem.lots.map((lot) => lot.cut))];
  return cuts.every((cut) =>
    problem.parties.every(({ sharePct }, party) => {
      const own = problem.lots
        .map((lot, at) => [lot, counts[at]![party]!] as const)
        .filter(([lot]) => lot.cut === cut);
      const all = own.reduce((sum, [lot]) => sum + lot.packages, 0);
      const got = own.reduce((sum, [, count]) => sum + count, 0);
      return Math.abs(got - (all * sharePct) / 100) < 1;
    }),
  );
}

/** The fairest split there is, by trying them all. */
function bruteForce(problem: SplitProblem): number {
  let best = Number.POSITIVE_INFINITY;
  const counts: number[][] = [];
  const give = (at: number): void => {
    const lot: Lot | undefined = problem.lots[at];
    if (!lot) {
      if (evenByCut(problem, counts)) best = Math.min(best, unfairnessPct(problem, counts));
      return;
    }
    for (const way of waysToGive(lot.packages, problem.parties.length)) {
      counts[at] = way;
      give(at + 1);
    }
  };
  give(0);
  return best;
}

/** As fair as the fairest, or by less than anybody can weigh. */
function isAsFairAs(split: Split, fairest: number): boolean {
  if (split.unfairnessPct <= fairest + 0.011) return true;
  return split.parties.every(
    ({ weightOff, worthOff }) => Math.abs(weightOff) <= 10 && Math.abs(worthOff) <= 10,
  );
}

describe('packages shared out', () => {
  it('are as fair as the fairest of all splits, each given once and every cut evenly', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(anyLot, { minLength: 1, maxLength: 4 }),
        anyParties,
        async (lots, parties) => {
          const problem = { lots, parties };
          const split = await splitPackages(problem);
          lots.forEach((lot, at) => {
            expect(split.counts[at]!.reduce((sum, count) => sum + count, 0)).toBe(lot.packages);
          });
          expect(evenByCut(problem, split.counts)).toBe(true);
          expect(split.proven).toBe(true);
          expect(isAsFairAs(split, bruteForce(problem))).toBe(true);
          expect(split.boundPct).toBeLessThanOrEqual(split.unfairnessPct);
        },
      ),
      { numRuns: 100, seed: 20261125 },
    );
  });

  it.each([
    ['four ways', [25, 25, 25, 25]],
    ['unevenly', [10, 20, 30, 40]],
    ['to two', [50, 50]],
  ])('of a mixed quarter of beef come out so even that nobody can weigh it, %s', async (_, shares) => {
    const lots = fc.sample(
      fc.record({
        cut: fc.constantFrom('T-bone', 'rib steak', 'round', 'chuck', 'ground', 'short ribs', 'stew'),
        packages: fc.constant(1),
        weight: fc.integer({ min: 900, max: 4200 }),
        worth: fc.integer({ min: 900, max: 9000 }),
      }),
      { numRuns: 150, seed: 7 },
    );
    const problem = { lots, parties: shares.map((sharePct, at) => ({ name: `party ${at}`, sharePct })) };
    const split = await splitPackages(problem);
    expect(split.proven).toBe(true);
    expect(split.unfairnessPct).toBeLessThan(0.011);
    expect(evenByCut(problem, split.counts)).toBe(true);
    expect(split.parties.reduce((sum, party) => sum + party.packages, 0)).toBe(150);
  });

  it('say how far from the best they may be when no proof is found in time', async () => {
    const lots = Array.from({ length: 21 }, (_, at) => ({
      cut: `cut ${at % 2}`,
      packages: 1,
      weight: at % 2 ? 4000 : 3000 + at,
      worth: 1000,
    }));
    const parties = ['A', 'B', 'C', 'D'].map((name) => ({ name, sharePct: 25 }));
    const split = await splitPackages({ lots, parties }, { nodes: 1, closeEnoughPct: 0.0001, tolerance: 0 });
    expect(split.proven).toBe(false);
    expect(split.boundPct).toBeLessThan(split.unfairnessPct);
  });

  it('come out the same each time', async () => {
    const lots = fc.sample(anyLot, { numRuns: 12, seed: 3 });
    const problem = {
      lots,
      parties: [
        { name: 'A', sharePct: 30 },
        { name: 'B', sharePct: 70 },
      ],
    };
    expect(await splitPackages(problem)).toEqual(await splitPackages(problem));
  });

  it('say how far each party is off', () => {
    const problem = {
      lots: [{ cut: 'ham', packages: 3, weight: 5000, worth: 1 }],
      parties: [
        { name: 'A', sharePct: 50 },
        { name: 'B', sharePct: 50 },
      ],
    };
    const [a, b] = outcomesOf(problem, [[2, 1]]);
    expect(a).toMatchObject({ packages: 2, weight: 10_000, weightOff: 2500 });
    expect(b!.weightOffPct).toBeCloseTo(-16.67, 2);
    expect(unfairnessPct(problem, [[2, 1]])).toBeCloseTo(16.67, 2);
  });

  it.each<[string, SplitProblem, RegExp]>([
    [
      'shares that are not the whole',
      {
        lots: [],
        parties: [
          { name: 'A', sharePct: 50 },
          { name: 'B', sharePct: 40 },
        ],
      },
      /"sharePct" expected 100 together, got 90/,
    ],
    ['one party', { lots: [], parties: [{ name: 'A', sharePct: 100 }] }, /"parties" expected 2 or more/],
    [
      'half a package',
      {
        lots: [{ cut: 'x', packages: 0.5, weight: 1, worth: 1 }],
        parties: [
          { name: 'A', sharePct: 50 },
          { name: 'B', sharePct: 50 },
        ],
      },
      /"packages" of x expected a count/,
    ],
  ])('refuse %s', async (_, problem, message) => {
    await expect(splitPackages(problem)).rejects.toThrow(message);
  });
});
