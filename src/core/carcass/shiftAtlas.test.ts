import fc from 'fast-check';
import { allSpecies, speciesById } from '../tests/catalogue';
import { TISSUES, type Atom } from '../species/types';
import type { Condition } from './condition';
import { anyCondition } from '../tests/anySheet';
import { shiftAtlas } from './shiftAtlas';

function tissuePct(atoms: readonly Atom[], tissue: (typeof TISSUES)[number]): number {
  return atoms.reduce((sum, atom) => sum + (atom.sharePct * atom.composition[tissue]) / 100, 0);
}

function primalPct(atoms: readonly Atom[], ...primals: string[]): number {
  return atoms.filter((atom) => primals.includes(atom.primal)).reduce((sum, atom) => sum + atom.sharePct, 0);
}

describe.each(allSpecies().map((species) => [species.id, species] as const))(
  'the carcass of a %s',
  (_, species) => {
    const sideLb = species.atlas.reference.sideLb;

    it('in no condition at all is the atlas', () => {
      const atoms = shiftAtlas(species, {}, sideLb);
      atoms.forEach((atom, index) => {
        expect(atom.sharePct).toBeCloseTo(species.atlas.atoms[index]!.sharePct, 9);
      });
    });

    it('adds up to 100 in every condition, and nothing is below zero', () => {
      fc.assert(
        fc.property(
          anyCondition(species),
          fc.double({ min: sideLb / 3, max: sideLb * 3, noNaN: true }),
          (condition, lb) => {
            const atoms = shiftAtlas(species, condition, lb);
            expect(atoms.reduce((sum, atom) => sum + atom.sharePct, 0)).toBeCloseTo(100, 6);
            const parts = atoms.flatMap((atom) => [
              atom.sharePct,
              ...TISSUES.map((tissue) => atom.composition[tissue]),
            ]);
            expect(Math.min(...parts)).toBeGreaterThanOrEqual(0);
            const worst = atoms.map((atom) =>
              Math.abs(TISSUES.reduce((sum, tissue) => sum + atom.composition[tissue], -100)),
            );
            expect(Math.max(...worst)).toBeLessThan(1e-6);
          },
        ),
        { numRuns: 1000, seed: 20261125 },
      );
    });

    it('fatter on the rule is fatter as a whole, and less of it is bone', () => {
      const { min, max } = species.shifts.fatness;
      fc.assert(
        fc.property(fc.double({ min, max, noNaN: true }), fc.double({ min, max, noNaN: true }), (a, b) => {
          const [lean, fat] = [Math.min(a, b), Math.max(a, b)].map((fatness) =>
            shiftAtlas(species, { fatness }, sideLb),
          );
          expect(tissuePct(lean!, 'fat')).toBeLessThanOrEqual(tissuePct(fat!, 'fat') + 1e-9);
          expect(tissuePct(lean!, 'bone')).toBeGreaterThanOrEqual(tissuePct(fat!, 'bone') - 1e-9);
        }),
        { numRuns: 300, seed: 20261125 },
      );
    });
  },
);

describe('a hog by its back fat', () => {
  const hog = speciesById('hog');

  it.each([
    [0.6, 55.7, 22.0, 15.6, 6.7, 24.4, 15.8],
    [0.75, 53.9, 24.6, 15.1, 6.5, 24.3, 15.9],
    [0.95, 51.6, 27.7, 14.5, 6.2, 24.1, 16.0],
    [1.2, 49.0, 31.3, 13.8, 5.9, 24.0, 16.2],
    [1.5, 46.3, 35.2, 13.0, 5.5, 23.8, 16.4],
    [2.0, 42.3, 40.7, 11.9, 5.1, 23.5, 16.6],
  ])('at %d in: lean %d, fat %d, bone %d, skin %d %%', (fatness, lean, fat, bone, skin, ham, belly) => {
    const atoms = shiftAtlas(hog, { fatness }, 91);
    expect(Math.abs(tissuePct(atoms, 'lean') - lean)).toBeLessThan(0.11);
    expect(Math.abs(tissuePct(atoms, 'fat') - fat)).toBeLessThan(0.11);
    expect(Math.abs(tissuePct(atoms, 'bone') - bone)).toBeLessThan(0.11);
    expect(Math.abs(tissuePct(atoms, 'skin') - skin)).toBeLessThan(0.11);
    expect(Math.abs(primalPct(atoms, 'ham') - ham)).toBeLessThan(0.11);
    expect(Math.abs(primalPct(atoms, 'belly') - belly)).toBeLessThan(0.11);
  });

  it('ten pounds more of side are nine tenths of a point more fat', () => {
    const heavy = shiftAtlas(hog, {}, 101);
    expect(tissuePct(heavy, 'fat')).toBeCloseTo(tissuePct(hog.atlas.atoms, 'fat') + 0.9, 1);
    expect(tissuePct(heavy, 'bone')).toBeCloseTo(tissuePct(hog.atlas.atoms, 'bone') - 0.3, 1);
  });

  it('skinned has no skin, no feet and a tenth less of everything weighed', () => {
    const atoms = shiftAtlas(hog, { skinned: true }, 91);
    expect(tissuePct(atoms, 'skin')).toBe(0);
    expect(atoms.find((atom) => atom.id === 'hind-foot')!.sharePct).toBe(0);
    const inside = atoms.find((atom) => atom.id === 'ham-inside')!;
    expect(4.95 / inside.sharePct).toBeCloseTo(0.9, 2);
  });

  it('a measured eye moves the four pieces of the eye by just that much', () => {
    const eye = hog.shifts.eye!.atoms;
    const share = (condition: Condition) => {
      const atoms = shiftAtlas(hog, condition, 91);
      return atoms.filter((atom) => eye.includes(atom.id)).reduce((sum, atom) => sum + atom.sharePct, 0);
    };
    expect(share({ eyeSqIn: 6 }) / share({})).toBeCloseTo(6 / 7, 1);
    expect(share({ fatness: 1.5, eyeSqIn: 7 })).toBeCloseTo(share({}), 0);
  });

  it('of a type nobody knows is a breach of contract', () => {
    expect(() => shiftAtlas(hog, { type: 'flying' }, 91)).toThrow(/"type" expected one of hog/);
  });
});
