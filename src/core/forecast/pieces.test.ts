import { packsByWeight, slicesIn } from './pieces';

/** Pieces of each run at each thickness, as the trade counts them (hog figures, piece counts). */
const THICKNESSES = [1 / 2, 5 / 8, 3 / 4, 1, 5 / 4, 3 / 2, 2] as const;
const COUNTS: readonly (readonly [run: string, lengthIn: number, counts: readonly number[]])[] = [
  ['blade chops', 3.6, [6, 5, 4, 3, 2, 2, 1]],
  ['rib chops', 10.8, [19, 16, 13, 10, 8, 6, 5]],
  ['loin chops', 7.5, [13, 11, 9, 7, 5, 4, 3]],
  ['sirloin chops', 3.5, [6, 4, 4, 3, 2, 2, 1]],
  ['the center in one run', 18.3, [33, 27, 23, 17, 14, 11, 8]],
  ['the whole loin in one run', 25.4, [47, 38, 32, 24, 19, 16, 12]],
  ['butt steaks', 7.2, [13, 10, 8, 6, 5, 4, 3]],
];

describe('slices in a run', () => {
  it.each(COUNTS)('%s, %d inches long', (_, lengthIn, counts) => {
    const counted = THICKNESSES.map((thicknessIn) =>
      slicesIn({ lengthIn, thicknessIn, kerfIn: 0.035, endLossIn: 0.25 }),
    );
    expect(counted).toEqual(counts);
  });

  it('a knife takes no kerf and gives a chop more', () => {
    const run = { lengthIn: 18.3, thicknessIn: 1, endLossIn: 0.25 };
    expect(slicesIn({ ...run, kerfIn: 0 })).toBe(18);
    expect(slicesIn({ ...run, kerfIn: 0.035 })).toBe(17);
  });

  it('a run shorter than its ends gives none', () => {
    expect(slicesIn({ lengthIn: 0.2, thicknessIn: 1, kerfIn: 0.035, endLossIn: 0.25 })).toBe(0);
  });
});

describe('packs of a weight', () => {
  it.each([
    [9560, 1000, 10],
    [10_000, 1000, 10],
    [1240, 1000, 1],
    [1440, 1000, 2],
    [2480, 1000, 2],
    [1, 1000, 1],
    [0, 1000, 0],
    [-5, 1000, 0],
  ])('%d in packs of %d are %d', (packaged, each, packs) => {
    expect(packsByWeight(packaged, each, 'lb')).toBe(packs);
  });
});
