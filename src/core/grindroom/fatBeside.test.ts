import fc from 'fast-check';
import { fatBeside } from './fatBeside';

const percent = fc.double({ min: 2, max: 60, noNaN: true });

describe('fat against what is asked', () => {
  it('comes to what is asked when it is done, and to nothing else', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 200, noNaN: true }),
        percent,
        percent,
        (meat, comesPct, askedPct) => {
          const { is, fat } = fatBeside({ meat, comesPct, askedPct });
          if (is === 'as-asked') return expect(Math.abs(comesPct - askedPct)).toBeLessThanOrEqual(1);
          const change = is === 'short' ? fat : -fat;
          const after = ((meat * comesPct) / 100 + change) / (meat + change);
          return expect(100 * after).toBeCloseTo(askedPct, 6);
        },
      ),
    );
  });

  it('is the worked fifth: 52 of lean want 13 of fat', () => {
    expect(fatBeside({ meat: 52, comesPct: 0, askedPct: 20 })).toEqual({ is: 'short', fat: 13 });
  });
});
