import { weight } from '../quantity/weight';
import { NOTHING_PACKED, yieldRow } from '../tests/yieldRow';
import { forecastsOf, missOf } from './forecastAgainst';

const packed = (lb: number) =>
  yieldRow({
    packed: { ...NOTHING_PACKED, roasts: weight(lb) },
    forecast: { takeHome: weight(100), low: weight(96), high: weight(104) },
  });

describe('what came home against its forecast', () => {
  it('is off by so many percent, in its range or not', () => {
    expect(missOf(packed(103))).toEqual({ offPct: 3, inRange: true });
    expect(missOf(packed(94))).toEqual({ offPct: -6, inRange: false });
    expect(missOf(yieldRow({}))).toBeNull();
  });

  it('of many says the mean size of a miss, its bias and how many lay in their range', () => {
    const found = forecastsOf([packed(103), packed(94), packed(99), packed(104), yieldRow({})])!;
    expect(found.meanError).toBeCloseTo(14 / 4, 9);
    expect(found.off).toMatchObject({ mean: 0, of: 4 });
    expect(found.inRangePct).toBe(75);
    expect(forecastsOf([yieldRow({})])).toBeNull();
  });
});
