import { allSpecies, speciesById } from '../tests/catalogue';
import { cutNames } from '../species/cutNames';
import { sideTree } from './sideTree';

describe.each(allSpecies().map((species) => [species.id, species] as const))(
  'the tree of a %s',
  (_, species) => {
    const tree = sideTree(species);
    const pieces = tree.flatMap(({ primals }) => primals.flatMap((primal) => primal.pieces));

    it('has every piece once, and the pounds of the side on every level', () => {
      expect(pieces.map(({ id }) => id).sort()).toEqual(species.atlas.atoms.map(({ id }) => id).sort());
      const add = (list: readonly { pounds: number }[]) => list.reduce((sum, each) => sum + each.pounds, 0);
      expect(add(tree)).toBeCloseTo(species.atlas.reference.sideLb, 6);
      for (const quarter of tree) {
        expect(add(quarter.primals)).toBeCloseTo(quarter.pounds, 6);
        for (const primal of quarter.primals) expect(add(primal.pieces)).toBeCloseTo(primal.pounds, 6);
      }
    });

    it('leads to cuts that are there', () => {
      const known = new Set(cutNames(species).map(({ cut }) => cut));
      const led = pieces.flatMap(({ cuts }) => cuts.map(({ cut }) => cut));
      expect(led.filter((cut) => !known.has(cut))).toEqual([]);
      expect(new Set(led).size).toBeGreaterThan(10);
    });
  },
);

it('says the cuts in the shop’s words', () => {
  const hog = { ...speciesById('hog'), words: { 'Jowl slab': 'Cheek' } };
  const cuts = sideTree(hog).flatMap(({ primals }) =>
    primals.flatMap(({ pieces }) => pieces.flatMap((each) => each.cuts)),
  );
  expect(cuts.map(({ cut }) => cut)).toContain('Cheek');
  expect(cuts.map(({ cut }) => cut)).not.toContain('Jowl slab');
});
