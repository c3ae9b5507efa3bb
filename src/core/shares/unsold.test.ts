import fc from 'fast-check';
import { overlap, partOfAnimal, PARTS, type SharePart } from './parts';
import { unsoldParts } from './unsold';

describe('what nobody has', () => {
  it('is the other half, the other quarter, the rest of what is sold by percent', () => {
    expect(unsoldParts([{ part: 'left' }])).toEqual([{ part: 'right', sharePct: 100 }]);
    expect(unsoldParts([{ part: 'left-fore' }, { part: 'right' }])).toEqual([
      { part: 'left-hind', sharePct: 100 },
    ]);
    expect(unsoldParts([{ part: 'left', sharePct: 50 }, { part: 'right' }])).toEqual([
      { part: 'left', sharePct: 50 },
    ]);
    expect(unsoldParts([{ part: 'whole' }])).toEqual([]);
    expect(unsoldParts([]).map(({ part }) => part)).toEqual(['left', 'right']);
  });

  it('and what is sold are the whole animal, and no piece is both', () => {
    const anySold = fc
      .shuffledSubarray([...PARTS])
      .map((parts) =>
        parts.filter((part, at) => !parts.slice(0, at).some((before) => overlap(before, part))),
      );
    fc.assert(
      fc.property(anySold, fc.integer({ min: 10, max: 100 }), (parts, pct) => {
        const sold = parts.map((part) => ({ part, sharePct: pct }));
        const left = unsoldParts(sold);
        const size = (shares: readonly { part: SharePart; sharePct: number }[]) =>
          shares.reduce((sum, { part, sharePct }) => sum + partOfAnimal(part) * sharePct, 0);
        expect(size(sold) + size(left)).toBeCloseTo(100, 6);
        for (const { part, sharePct } of left) {
          if (sharePct === 100 && pct < 100) expect(parts.some((each) => overlap(each, part))).toBe(false);
        }
      }),
    );
  });
});
