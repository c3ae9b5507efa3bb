import fc from 'fast-check';
import type { Weight } from '../quantity/weight';
import { foreOf, quarteredOf, type QuarterNet } from './quarters';

const net = (quarter: 'fore' | 'hind', kind: 'hot' | 'cold', weight: number): QuarterNet => ({
  ...{ quarter, kind },
  net: weight as Weight,
});

describe('quarters that were weighed', () => {
  it('are known when both were weighed the same way; the last weight of each, cold before hot', () => {
    expect(quarteredOf([net('fore', 'hot', 95_000)])).toBeNull();
    expect(quarteredOf([net('fore', 'hot', 95_000), net('hind', 'cold', 85_000)])).toBeNull();
    const hot = [net('fore', 'hot', 95_000), net('hind', 'hot', 88_000), net('fore', 'hot', 94_000)];
    expect(quarteredOf(hot)).toEqual({ fore: 94_000, hind: 88_000 });
    const cold = [...hot, net('hind', 'cold', 85_300), net('fore', 'cold', 90_200)];
    expect(quarteredOf(cold)).toEqual({ fore: 90_200, hind: 85_300 });
  });

  it('part a side that weighs what they do exactly, and any other by their share of it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400_000 }),
        fc.integer({ min: 1, max: 400_000 }),
        (fore, hind) => {
          const quarters = { fore: fore as Weight, hind: hind as Weight };
          expect(foreOf((fore + hind) as Weight, quarters)).toBe(fore);
        },
      ),
    );
    expect(foreOf(100_000 as Weight, { fore: 30_000 as Weight, hind: 10_000 as Weight })).toBe(75_000);
  });
});
