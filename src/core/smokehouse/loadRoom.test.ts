import type { Weight } from '../quantity/weight';
import { whyNoRoom } from './loadRoom';

const asked = (hangs: number, piece: number, unit: 'lb' | 'kg' = 'lb', mostLb = 120) =>
  whyNoRoom({ hangs: hangs as Weight, piece: piece as Weight, mostLb, unit });

describe('room in a load of the smokehouse', () => {
  it('is there up to what the smokehouse takes, and not beyond', () => {
    expect(asked(100_000, 20_000)).toBe('');
    expect(asked(100_000, 20_001)).toBe(
      'The smokehouse takes 120.00 lb to a load, and 100.00 lb hang in this one. Begin another load.',
    );
  });

  it('is told in the shop’s own unit, and not asked where the shop has not said how much', () => {
    expect(asked(50_000, 4_000, 'kg')).toBe('');
    expect(asked(50_000, 5_000, 'kg')).toMatch(/^The smokehouse takes 54\.43\d* kg/);
    expect(asked(900_000, 5_000, 'lb', 0)).toBe('');
  });
});
