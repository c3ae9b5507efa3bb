import fc from 'fast-check';
import { allocate, roundToTotal } from './allocate';

const anyRatios = fc
  .array(fc.double({ min: 0, max: 1000, noNaN: true }), { minLength: 1, maxLength: 12 })
  .filter((ratios) => ratios.some((ratio) => ratio > 1e-6));

describe('splitting a whole', () => {
  it('gives the odd thousandth to the earlier part', () => {
    expect(allocate(1001, [1, 1])).toEqual([501, 500]);
    expect(allocate(-1001, [1, 1])).toEqual([-501, -500]);
    expect(allocate(10, [0, 1])).toEqual([0, 10]);
  });

  it('gives packs back by largest remainder, as the grind room does', () => {
    expect(allocate(27, [8.5, 6, 11.5])).toEqual([9, 6, 12]);
  });

  it('always adds up, and no part is a unit away from its share', () => {
    fc.assert(
      fc.property(fc.integer({ min: -2_000_000, max: 2_000_000 }), anyRatios, (total, ratios) => {
        const parts = allocate(total, ratios);
        const sum = ratios.reduce((a, b) => a + b, 0);
        expect(parts.reduce((a, b) => a + b, 0)).toBe(total);
        parts.forEach((part, i) => {
          expect(Number.isInteger(part)).toBe(true);
          expect(Math.abs(part - (total * ratios[i]!) / sum)).toBeLessThan(1.000001);
        });
      }),
      { numRuns: 1000, seed: 41207 },
    );
  });

  it('refuses ratios that split nothing', () => {
    expect(() => allocate(10, [])).toThrow(RangeError);
    expect(() => allocate(10, [0, 0])).toThrow(/"ratios"/);
    expect(() => allocate(10, [2, -1])).toThrow(/"ratios"/);
  });
});

describe('rounding to a total', () => {
  it('keeps gains and losses, to the unit', () => {
    expect(roundToTotal([1.4, 2.4, 3.2], 7)).toEqual([2, 2, 3]);
    expect(roundToTotal([-0.5, 10.5], 10)).toEqual([0, 10]);
  });

  it('adds up for any values that add up', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -50, max: 5000, noNaN: true }), { minLength: 1, maxLength: 40 }),
        (values) => {
          const total = Math.round(values.reduce((a, b) => a + b, 0)) + 0;
          const rounded = roundToTotal(values, total);
          expect(rounded.reduce((a, b) => a + b, 0)).toBe(total);
          rounded.forEach((part, i) => expect(Math.abs(part - values[i]!)).toBeLessThan(1.000001));
        },
      ),
    );
  });

  it('refuses values that miss their total', () => {
    expect(() => roundToTotal([1, 2], 5)).toThrow(/miss the total 5/);
  });
});
