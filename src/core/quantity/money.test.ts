import fc from 'fast-check';
import { cents, chargeForRate, chargeForWeight, formatMoney, splitCents, sumCents } from './money';
import { weight } from './weight';

describe('money', () => {
  it('is whole cents', () => {
    expect(() => cents(1.5)).toThrow(/whole cents/);
    expect(sumCents([cents(1), cents(-3)])).toBe(-2);
  });

  it('is shown with its sign', () => {
    expect(formatMoney(cents(5))).toBe('$0.05');
    expect(formatMoney(cents(123_456))).toBe('$1234.56');
    expect(formatMoney(cents(-15_000))).toBe('−$150.00');
    expect(formatMoney(cents(100), '€')).toBe('€1.00');
  });

  it('for a weight is rounded half up to the cent', () => {
    expect(chargeForWeight(weight(408.6), 98)).toBe(40_043);
    expect(chargeForWeight(weight(403.4), 98)).toBe(39_533);
    expect(chargeForWeight(weight(23.33), 55)).toBe(1283);
    expect(chargeForWeight(weight(18), 650)).toBe(11_700);
    expect(chargeForWeight(weight(0.005), 100)).toBe(1);
    expect(chargeForWeight(weight(0.004), 100)).toBe(0);
  });

  it('of a tax is rounded half up to the cent', () => {
    expect(chargeForRate(cents(1350), 600)).toBe(81);
    expect(chargeForRate(cents(25), 1000)).toBe(3);
    expect(chargeForRate(cents(-25), 1000)).toBe(-3);
  });

  it('split among owners adds up to the cent', () => {
    expect(splitCents(cents(10_001), [1, 1, 1])).toEqual([3334, 3334, 3333]);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_000_000 }),
        fc.array(fc.integer({ min: 1, max: 100 }), { minLength: 1, maxLength: 6 }),
        (amount, parts) => {
          expect(sumCents(splitCents(cents(amount), parts))).toBe(amount);
        },
      ),
    );
  });
});
