import fc from 'fast-check';
import { inUnits, weight } from '../quantity/weight';
import { speciesById } from '../tests/catalogue';
import { half } from '../tests/halfHog';
import { expectedCold, keptShare, shrinkCurveOf, shrinkPct, shrinkWorking } from './shrink';
import { leastCertain, sideToCut } from './sideToCut';

const openBeef = { covering: 'open', firstDay: 0.02, daysTwoToSeven: 0.005, later: 0.0025 };
const skinOn = half.species.shrink[0]!;

describe('a hog that was skinned', () => {
  it('dries faster than one in its skin: 2.5 % on the first day, then 0.6 and 0.4', () => {
    const skinned = shrinkCurveOf(half.species, { skinned: true });
    expect(skinned).toMatchObject({ firstDay: 0.025, daysTwoToSeven: 0.006, later: 0.004 });
    expect(shrinkCurveOf(half.species, undefined)).toBe(skinOn);
    const hot = weight(92.5);
    const cold = (condition?: { skinned: true }) => sideToCut(half.species, 'lb', { hot }, condition).weight;
    expect(cold({ skinned: true })).toBeLessThan(cold());
  });
});

describe('what hangs otherwise than its species usually does', () => {
  const [beef, lamb] = ['beef', 'lamb'].map(speciesById);

  it('dries as it does: thinly covered, under film, or bare', () => {
    expect(shrinkCurveOf(beef!, { thinCover: true })).toMatchObject({ firstDay: 0.025, later: 0.0035 });
    expect(shrinkCurveOf(beef!, { covered: true })).toBe(beef!.shrink[0]);
    expect(shrinkCurveOf(lamb!, {})).toMatchObject({ covered: true });
    expect(shrinkCurveOf(lamb!, { covered: false })).toMatchObject({ covering: 'open', later: 0.006 });
    const after = (covered: boolean) =>
      inUnits(expectedCold(shrinkCurveOf(lamb!, { covered }), weight(61), 6));
    expect(after(true)).toBeCloseTo(58.88, 2);
    expect(after(false)).toBeCloseTo(57.13, 2);
  });
});

describe('shrink on the rail', () => {
  it('takes each day from what the day before left', () => {
    expect(inUnits(expectedCold(openBeef, weight(812), 1))).toBeCloseTo(795.76, 2);
    expect(inUnits(expectedCold(openBeef, weight(812), 14))).toBeCloseTo(758.77, 2);
    expect(shrinkPct(weight(812), weight(758.77))).toBeCloseTo(6.56, 2);
  });

  it('costs an open lamb more than a wrapped one', () => {
    const open = { covering: 'open', firstDay: 0.025, daysTwoToSeven: 0.008, later: 0.006 };
    const wrapped = { ...open, daysTwoToSeven: 0.002, later: 0.002 };
    expect(inUnits(expectedCold(open, weight(61), 6))).toBeCloseTo(57.13, 2);
    expect(inUnits(expectedCold(wrapped, weight(61), 6))).toBeCloseTo(58.88, 2);
  });

  it('never grows, and never takes everything', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), (days) => {
        const share = keptShare(skinOn, days);
        expect(share).toBeGreaterThan(0.8);
        expect(share).toBeGreaterThanOrEqual(keptShare(skinOn, days + 1));
      }),
    );
  });

  it('of nothing is nothing', () => {
    expect(shrinkPct(weight(0), weight(0))).toBe(0);
  });

  it('says how it comes about', () => {
    const working = shrinkWorking(skinOn, 3);
    expect(working.inputs).toContainEqual({ label: 'days hung', value: '3' });
    expect(working.inputs.at(-1)).toEqual({ label: 'lost in all', value: '2.4 %' });
  });
});

describe('the weight a side is cut by', () => {
  const { species } = half;

  it('is the cold weight where there is one', () => {
    const side = sideToCut(species, 'lb', { hot: weight(92.5), cold: weight(91) });
    expect(side).toEqual({ weight: 91_000, basis: 'cold' });
  });

  it('is expected from the hot weight before that', () => {
    const side = sideToCut(species, 'lb', { hot: weight(92.5) });
    expect(side).toEqual({ weight: expectedCold(skinOn, weight(92.5), 2), basis: 'hot' });
  });

  it('is a usual side before anything is weighed, in the unit of the shop', () => {
    expect(sideToCut(species, 'lb', {})).toEqual({ weight: 91_000, basis: 'usual' });
    expect(sideToCut(species, 'kg', {})).toEqual({ weight: 41_277, basis: 'usual' });
  });

  it('of a share is as certain as its least certain side', () => {
    expect(leastCertain(['cold', 'cold'])).toBe('cold');
    expect(leastCertain(['cold', 'hot'])).toBe('hot');
    expect(leastCertain(['usual', 'hot'])).toBe('usual');
  });
});
