import fc from 'fast-check';
import {
  convertUnits,
  formatWeight,
  HEAVIEST_WEIGHT,
  KG_PER_LB,
  parseWeight,
  sumWeights,
  weight,
  type Weight,
} from './weight';

const anyWeight = fc.integer({ min: 0, max: HEAVIEST_WEIGHT }).map((w) => w as Weight);

describe('a weight', () => {
  it('is whole thousandths of the unit', () => {
    expect(weight(12.345)).toBe(12_345);
    expect(weight(0.0004)).toBe(0);
    expect(() => weight(Number.NaN)).toThrow(/"units"/);
    expect(() => weight(Number.POSITIVE_INFINITY)).toThrow(RangeError);
  });

  it('is shown with as many decimals as are asked for, and never as minus nothing', () => {
    expect(formatWeight(weight(91), 2)).toBe('91.00');
    expect(formatWeight(weight(1.285), 2)).toBe('1.29');
    expect(formatWeight(weight(-1.285), 2)).toBe('-1.29');
    expect(formatWeight(-1 as Weight, 2)).toBe('0.00');
    expect(formatWeight(weight(86.7), 0)).toBe('87');
  });

  it('that is shown with three decimals is read back the same', () => {
    fc.assert(
      fc.property(anyWeight, (w) => {
        const read = parseWeight(formatWeight(w, 3), 'lb');
        expect(read).toEqual({ ok: true, value: w });
      }),
    );
  });

  it('adds without drift, however many there are', () => {
    const pennies = Array.from({ length: 10_000 }, () => weight(0.1));
    expect(sumWeights(pennies)).toBe(1_000_000);
  });
});

describe('what a person types as a weight', () => {
  it.each([
    ['92.5', 'lb', 92_500],
    [' 92,5 ', 'lb', 92_500],
    ['.75', 'lb', 750],
    ['92.5 lbs', 'lb', 92_500],
    ['10 kg', 'lb', 22_046],
    ['10 pounds', 'kg', 4_536],
    ['4 kilos', 'kg', 4_000],
    ['0', 'lb', 0],
  ] as const)('"%s" in a shop of %s is %d thousandths', (text, unit, expected) => {
    expect(parseWeight(text, unit)).toEqual({ ok: true, value: expected });
  });

  it.each(['', 'heavy', '12..5', '-3', '1e3', '12 oz', '1 2', 'NaN'])(
    '"%s" is refused as no weight',
    (text) => {
      const read = parseWeight(text, 'lb');
      expect(read).toMatchObject({ ok: false, reason: 'not-a-weight' });
      expect(read.ok || read.message).toContain('Type a number');
    },
  );

  it('a forgotten decimal point is refused', () => {
    expect(parseWeight('1,250', 'lb')).toMatchObject({ ok: false, reason: 'not-a-weight' });
    expect(parseWeight('1,25', 'lb')).toEqual({ ok: true, value: 1250 });
    expect(parseWeight('9250', 'lb')).toMatchObject({ ok: false, reason: 'out-of-range' });
    expect(parseWeight('2000', 'lb')).toEqual({ ok: true, value: 2_000_000 });
  });
});

describe('pounds and kilograms', () => {
  it('convert by the pound of 1959', () => {
    expect(convertUnits(1, 'lb', 'kg')).toBe(KG_PER_LB);
    expect(convertUnits(KG_PER_LB, 'kg', 'lb')).toBe(1);
    expect(convertUnits(7, 'kg', 'kg')).toBe(7);
  });

  it('go there and back without drift of a thousandth', () => {
    fc.assert(
      fc.property(anyWeight, (w) => {
        const there = convertUnits(w / 1000, 'lb', 'kg');
        expect(weight(convertUnits(there, 'kg', 'lb'))).toBe(w);
      }),
    );
  });
});
