import fc from 'fast-check';
import { weight } from '../quantity/weight';
import type { Ground } from '../questions/evaluate';
import { answered, COLD, form, half, house } from '../tests/halfHog';
import { anySheet } from '../tests/anySheet';
import { demoPrices } from '../tests/prices';
import { compareSheets } from './compareSheets';

const ground: Ground = {
  situation: half,
  coldSides: COLD,
  priceList: demoPrices[1]!,
  bill: {
    animal: { species: 'hog', hot: weight(185) },
    hot: weight(92.5),
    headSplit: { parts: [1, 1], index: 0 },
    deposit: 0 as never,
  },
};

describe('two sheets on one half', () => {
  it('boned chops give up weight and bone, and free the back ribs', () => {
    const boned = answered(house, 'center-loin', form('center-loin', 'boneless'));
    const { cuts, takeHome, charges } = compareSheets(ground, house, boned);
    const of = (cut: string) => cuts.find((each) => each.cut === cut)!;
    expect(of('Rib and loin chops, bone-in').packaged).toBeLessThan(0);
    expect(of('Loin chops, boneless').first).toEqual({ packaged: 0, pieces: 0, packs: 0 });
    expect(takeHome).toBeLessThan(0);
    expect(charges).toBeGreaterThan(0);
  });

  it('that are the same differ in nothing', () => {
    expect(compareSheets(ground, house, house)).toMatchObject({
      cuts: [],
      takeHome: 0,
      grind: 0,
      charges: 0,
    });
  });

  it('turned round have every sign turned, and their cuts add up to the take-home', () => {
    fc.assert(
      fc.property(anySheet(half), anySheet(half), (a, b) => {
        const [there, back] = [compareSheets(ground, a, b), compareSheets(ground, b, a)];
        expect(there.takeHome + back.takeHome).toBe(0);
        expect(there.charges + back.charges).toBe(0);
        expect(there.cuts.reduce((sum, cut) => sum + cut.packaged, 0)).toBe(there.takeHome);
        expect(there.cuts.map((cut) => cut.cut).sort()).toEqual(back.cuts.map((cut) => cut.cut).sort());
      }),
      { numRuns: 500, seed: 20261125 },
    );
  });
});
