import fc from 'fast-check';
import { weight, type Weight } from '../quantity/weight';
import { NOTHING_PACKED, NOTHING_WENT, yieldRow } from '../tests/yieldRow';
import { choicesOf, matches, type YieldFilter } from './filter';
import { PARTS, partOf, pooledRate, rateOf, RATES, type RateId } from './rates';
import { spreadOf } from './spread';
import { PACKED, WENT } from './yieldRow';

const side = yieldRow({
  hot: weight(180),
  cold: weight(175.5),
  packed: { ...NOTHING_PACKED, steaks: weight(60), roasts: weight(66) },
});

describe('a rate', () => {
  it('has its denominator in its name: 126 packed of 180 hot and 175.5 cold is 70.0 and 71.8 %', () => {
    expect(rateOf(side, 'packed-hot')).toBeCloseTo(70.0, 2);
    expect(rateOf(side, 'packed-cold')).toBeCloseTo(71.79, 2);
    expect(rateOf(side, 'shrink')).toBeCloseTo(2.5, 2);
  });

  it('is nothing where a weight it needs is missing, never zero', () => {
    const unhung = { ...side, hot: null };
    const needs = (Object.keys(RATES) as RateId[]).filter((id) => rateOf(unhung, id) === null);
    expect(needs).toContain('packed-hot');
    expect(needs).toContain('shrink');
    expect(needs).toContain('dressing');
    expect(rateOf(unhung, 'packed-cold')).toBeCloseTo(71.79, 2);
    expect(rateOf({ ...side, cold: weight(0) }, 'packed-cold')).toBeNull();
  });

  it('of many is all parts over all wholes; those without a weight are left out and counted', () => {
    const small = {
      ...side,
      hot: weight(20),
      cold: weight(20),
      packed: { ...NOTHING_PACKED, roasts: weight(10) },
    };
    expect(pooledRate([side, small, { ...side, hot: null }], 'packed-hot')).toEqual({
      pct: (100 * 136) / 200,
      of: 2,
      leftOut: 1,
    });
    expect(pooledRate([{ ...side, hot: null }], 'packed-hot')).toEqual({ pct: null, of: 0, leftOut: 1 });
  });

  it('green and finished are counted once: packs, losses and air of a share are its hot weight', () => {
    const weights = fc.integer({ min: 0, max: 60_000 }).map((each) => each as Weight);
    const some = (keys: readonly string[]) =>
      fc.record(Object.fromEntries(keys.map((key) => [key, weights])));
    fc.assert(
      fc.property(some(PACKED), some(WENT), weights, (packed, went, air) => {
        const all = [...Object.values(packed), ...Object.values(went)].reduce((sum, each) => sum + each, 0);
        fc.pre(all > 0);
        const row = yieldRow({
          cold: all as Weight,
          hot: (all + air) as Weight,
          packed: { ...NOTHING_PACKED, ...packed },
          went: { ...NOTHING_WENT, ...went },
        });
        // The one part that is the sum of others is left out.
        const parts = PARTS.filter((part) => part !== 'packed-hot').map((part) => partOf(row, part)!);
        expect(parts.reduce((sum, each) => sum + each, 0)).toBeCloseTo(100, 6);
      }),
    );
  });
});

describe('how a figure scatters', () => {
  it('says the mean, the middle and eight in ten; of nothing it says nothing', () => {
    const spread = spreadOf([...Array.from({ length: 101 }, (_, at) => at), null])!;
    expect(spread).toEqual({ mean: 50, middle: 50, low: 10, high: 90, of: 101 });
    expect(spreadOf([null])).toBeNull();
  });
});

describe('which shares are looked at', () => {
  const any: YieldFilter = {
    species: 'hog',
    boneState: '',
    farmId: '',
    type: '',
    school: '',
    part: '',
    cutterId: '',
    since: '',
  };
  const rows = [
    yieldRow({ shareId: '1', farmId: 'a', boneState: 'mixed' }),
    yieldRow({ shareId: '2', farmId: 'b', boneState: 'boneless' }),
    yieldRow({ shareId: '3', farmId: 'b', boneState: 'mixed', species: 'beef' }),
  ];

  it('is said by species, facts and the day they were closed', () => {
    const found = (change: Partial<YieldFilter>) =>
      rows.filter((row) => matches(row, { ...any, ...change })).map(({ shareId }) => shareId);
    expect(found({})).toEqual(['1', '2']);
    expect(found({ farmId: 'b' })).toEqual(['2']);
    expect(found({ since: '2026-03-03' as YieldFilter['since'] })).toEqual([]);
  });

  it('a choice counts what the other choices leave', () => {
    expect([...choicesOf(rows, { ...any, farmId: 'b' }, 'boneState')]).toEqual([['boneless', 1]]);
    expect([...choicesOf(rows, { ...any, farmId: 'b' }, 'farmId')]).toEqual([
      ['a', 1],
      ['b', 1],
    ]);
  });
});
