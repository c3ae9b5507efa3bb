import fc from 'fast-check';
import { degreesWords, isCold, toTenthsF } from './deepTemperature';

describe('how warm a side is inside', () => {
  it('is cold at or under 40 F, by either scale', () => {
    expect([400, 401].map((tenthsF) => isCold({ tenthsF }))).toEqual([true, false]);
    expect(isCold({ tenthsF: toTenthsF(44, 'C') })).toBe(true);
    expect(isCold({ tenthsF: toTenthsF(45, 'C') })).toBe(false);
  });

  it('is said as it was read, to the tenth', () => {
    fc.assert(
      fc.property(fc.integer({ min: -100, max: 450 }), (tenths) => {
        expect(degreesWords(toTenthsF(tenths, 'C'), 'kg')).toBe(
          `${(tenths / 10).toFixed(1)} °C`.replace('-0.0', '0.0'),
        );
        expect(degreesWords(toTenthsF(tenths, 'F'), 'lb')).toBe(`${(tenths / 10).toFixed(1)} °F`);
      }),
    );
  });
});
