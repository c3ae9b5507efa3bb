import fc from 'fast-check';
import { cents, sumCents } from '../quantity/money';
import { weight } from '../quantity/weight';
import { NOTHING_PACKED, yieldRow } from '../tests/yieldRow';
import { chargesOf, monthOfRow, summedBy, sumsOf } from './report';
import type { YieldRow } from './yieldRow';

const row = (closedOn: string, animalId: string, hot: number | null, packed: number): YieldRow =>
  yieldRow({
    ...{ shareId: `${closedOn} ${animalId} ${packed}`, animalId, closedOn: closedOn as YieldRow['closedOn'] },
    ...{ hot: hot === null ? null : weight(hot), cold: weight(packed) },
    packed: { ...NOTHING_PACKED, roasts: weight(packed) },
  });

describe('a month and a year', () => {
  const rows = [
    row('2026-03-02', 'a', 100, 70),
    row('2026-03-20', 'a', 100, 74),
    row('2026-04-01', 'b', null, 60),
    row('2026-04-02', 'c', 50, 40),
  ];

  it('say what was hung and packed, and rates over the shares that have both weights', () => {
    expect(sumsOf(rows)).toMatchObject({ shares: 4, animals: 3, hot: weight(250), packed: weight(244) });
    expect(sumsOf(rows).packedOnHot).toEqual({ pct: (100 * 184) / 250, of: 3, leftOut: 1 });
    expect(sumsOf([]).packedOnHot).toEqual({ pct: null, of: 0, leftOut: 0 });
  });

  it('months add up to the year', () => {
    const months = summedBy(rows, monthOfRow);
    expect(months.map(({ of, sums }) => [of, sums.shares, sums.packed])).toEqual([
      ['2026-03', 2, weight(144)],
      ['2026-04', 2, weight(100)],
    ]);
  });
});

describe('what was charged', () => {
  it('adds up by kind and by month to the same total, to the cent', () => {
    const line = fc.record({
      month: fc.constantFrom('2026-01', '2026-02', '2026-05'),
      label: fc.constantFrom('Cut and wrap', 'Kill', 'Cure', 'Rounding'),
      amount: fc.integer({ min: -500, max: 90_000 }).map(cents),
    });
    fc.assert(
      fc.property(fc.array(line, { maxLength: 60 }), (charged) => {
        const { kinds, totals, total, months } = chargesOf(charged);
        expect(sumCents(kinds.map((kind) => kind.total))).toBe(total);
        expect(sumCents(totals)).toBe(total);
        for (const { amounts, total: own } of kinds) {
          expect(amounts).toHaveLength(months.length);
          expect(sumCents(amounts)).toBe(own);
        }
      }),
    );
  });
});
