import { percentMore, signed } from './signed';

describe('a difference', () => {
  it.each([
    [1210, '1.2', 20, '+1.2'],
    [-1210, '1.2', 20, '−1.2'],
    [19, '0.0', 20, ''],
    [-19, '0.0', 20, ''],
    [20, '0.0', 20, '+0.0'],
    [0, '$0.00', 1, ''],
  ])('of %d is said as %s from %d on: "%s"', (by, words, least, said) => {
    expect(signed(by, words, least)).toBe(said);
  });

  it.each([
    [200, 211, '+5.5'],
    [200, 189, '−5.5'],
    [0, 12, ''],
    [200, 200, '+0.0'],
    [100_000, 99_999, '+0.0'],
  ])('from %d to %d is %s percent', (was, now, said) => {
    expect(percentMore(was, now)).toBe(said);
  });
});
