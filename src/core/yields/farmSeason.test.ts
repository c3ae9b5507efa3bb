import fc from 'fast-check';
import { sumWeights, type Weight } from '../quantity/weight';
import { anyYieldRow, yieldRow } from '../tests/yieldRow';
import { farmSeason, FEWEST_OTHERS, rememberedWords } from './farmSeason';
import { packedOf } from './rates';
import type { YieldRow } from './yieldRow';

const YEARS = [2024, 2025, 2026];
const FARMS = ['a', 'b'];
const anyRows = fc.array(
  fc.tuple(anyYieldRow, fc.constantFrom(...FARMS), fc.constantFrom(...YEARS)).map(([row, farmId, year]) => ({
    ...row,
    farmId,
    closedOn: `${year}-05-02` as typeof row.closedOn,
  })),
  { maxLength: 40 },
);

describe('a farm’s season', () => {
  it('counts every share of the farm once, and nobody else’s', () => {
    fc.assert(
      fc.property(anyRows, (rows) => {
        for (const farmId of FARMS) {
          for (const year of YEARS) {
            const closed = (row: YieldRow) => row.closedOn.startsWith(`${year}`);
            const [theirs, others] = [
              rows.filter((row) => row.farmId === farmId),
              rows.filter((row) => row.farmId !== farmId),
            ];
            const own = theirs.filter(closed);
            const season = farmSeason(theirs, others.filter(closed), year);
            expect(season.reduce((sum, of) => sum + of.year.shares, 0)).toBe(own.length);
            expect(sumWeights(season.map((of) => of.year.packed))).toBe(sumWeights(own.map(packedOf)));
            for (const { year: now, cuts, others: band } of season) {
              expect(sumWeights(cuts.map(({ weight }) => weight))).toBe(now.packed);
              expect(Math.max(0, ...cuts.map(({ shares }) => shares))).toBeLessThanOrEqual(now.shares);
              if (band) expect(band.of).toBeGreaterThanOrEqual(FEWEST_OTHERS);
            }
          }
        }
      }),
      { numRuns: 300, seed: 20261127 },
    );
  });

  it('sets its own year before beside it', () => {
    const of = (closedOn: string, hot: number) =>
      yieldRow({ farmId: 'a', closedOn: closedOn as YieldRow['closedOn'], hot: hot as Weight });
    const rows = [of('2025-03-01', 90_000), of('2026-03-01', 95_000)];
    const [season] = farmSeason(rows, [], 2026);
    expect([season!.before!.hot, season!.year.hot]).toEqual([90_000, 95_000]);
    expect(farmSeason(rows, [], 2025)[0]!.before).toBeNull();
  });

  it('says what is to be thought of', () => {
    expect(rememberedWords({ cut: 'Liver', pace: 'slowly', note: 'one a month' })).toBe(
      'Liver: sold slowly; one a month',
    );
    expect(rememberedWords({ cut: 'Liver', pace: null, note: 'one a month' })).toBe('Liver: one a month');
  });
});
