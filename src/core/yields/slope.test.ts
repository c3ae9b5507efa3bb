import fc from 'fast-check';
import { slopeOf } from './slope';

describe('how a figure changes with another', () => {
  it('is found exactly on a line, whichever', () => {
    const number = fc.integer({ min: -50, max: 50 });
    fc.assert(
      fc.property(number, number, (perOne, from) => {
        const pairs = Array.from({ length: 12 }, (_, x) => [x, from + perOne * x] as const);
        const slope = slopeOf(pairs)!;
        expect(slope.perOne).toBeCloseTo(perOne, 9);
        expect(slope.of).toBe(12);
        expect(slope.isClear).toBe(perOne !== 0);
      }),
    );
  });

  it('is not clear where the figure goes up and down by itself', () => {
    const pairs = Array.from({ length: 40 }, (_, x) => [x, x % 2 === 0 ? 10 : -10] as const);
    expect(slopeOf(pairs)!.isClear).toBe(false);
  });

  it('is not said of few, nor where all have the same', () => {
    expect(slopeOf([[1, 2]])).toBeNull();
    expect(slopeOf(Array.from({ length: 20 }, (_, y) => [5, y] as const))).toBeNull();
  });
});
