import { allSpecies, speciesById } from '../tests/catalogue';
import { itemsOf } from './items';
import { zonePath } from './sideMapPath';
import { speciesProblems } from './speciesProblems';
import { speciesSchema } from './speciesSchema';
import type { Atom, Species } from './types';

const hog = speciesById('hog');

/** A copy of the hog with one field, by its path, set to something else; undefined takes it away. */
function hogWith(path: string, value: unknown): Species {
  const copy = structuredClone(hog);
  const steps = path.split('.');
  const last = steps.pop()!;
  const holder = steps.reduce<Record<string, unknown>>(
    (at, step) => at[step] as Record<string, unknown>,
    copy as unknown as Record<string, unknown>,
  );
  if (value === undefined) delete holder[last];
  else holder[last] = value;
  return copy;
}

describe.each(allSpecies().map((species) => [species.id, species] as const))('%s, as data', (_, species) => {
  it('has the shape of a species', () => {
    expect(speciesSchema.validate(species, { abortEarly: false }).error).toBeUndefined();
  });

  it('says nothing of its parts that is not so', () => {
    expect(speciesProblems(species)).toEqual([]);
  });

  it('draws every zone as a closed outline', () => {
    for (const zone of Object.keys(species.sideMap.zones)) {
      expect(zonePath(species.sideMap, zone)).toMatch(/^M[\d. ]+(C[-\d. ]+)+Z$/);
    }
  });

  it('has a number of its own for everything that can be packed', () => {
    const numbers = itemsOf(species).map((item) => [item, species.items[item]] as const);
    expect(numbers.filter(([, number]) => number === undefined)).toEqual([]);
    expect(new Set(numbers.map(([, number]) => number)).size).toBe(numbers.length);
  });

  it('offers every decision a cut that needs no tool, so that a shop without one can answer', () => {
    for (const decision of species.decisions) {
      expect(decision.options.some((option) => !option.needsTool && !option.needsBothSides)).toBe(true);
    }
  });
});

describe('species data that is wrong', () => {
  it.each<[string, string, unknown, string]>([
    ['a share too much', 'atlas.atoms.0.sharePct', 3.6, 'shares add up to'],
    ['tissues that are not a whole', 'atlas.atoms.3.composition.lean', 99, 'tissues add up to'],
    ['a span off the spine', 'atlas.atoms.0.span', ['T1', 'T99'], 'not on the spine'],
    ['a span backwards', 'atlas.atoms.0.span', ['T9', 'T1'], 'runs backwards'],
    ['a claim on nothing', 'decisions.0.options.0.products.0.claims.0.atom', 'wing', 'no piece wing'],
    ['a house answer that is not offered', 'decisions.0.house.option', 'x', 'the house wants x'],
    ['a zone that is not drawn', 'decisions.0.zone', 'wing', 'no zone "wing"'],
    ['an option without its parameter', 'decisions.0.options.0.params', undefined, 'no parameter cure'],
    ['a sacrifice of nothing', 'grind.sacrifices.0.option', 'x', 'sacrifice fore-hock'],
    ['a cure that nobody makes', 'cures', {}, 'no cure cured'],
    ['a zone without its edge', 'sideMap.edges.hamB', undefined, 'no edge'],
  ])('%s is named', (_, path, value, problem) => {
    expect(speciesProblems(hogWith(path, value)).join('\n')).toContain(problem);
  });

  it('of the wrong shape is refused with the field', () => {
    const { error } = speciesSchema.validate(hogWith('cutting.kerfIn', 'thin'));
    expect(error?.message).toContain('cutting.kerfIn');
  });

  it('an unknown species, zone or edge is a breach of contract', () => {
    expect(() => speciesById('unicorn')).toThrow(/"species" expected one of hog, beef, lamb, bison, goat/);
    expect(() => zonePath(hog.sideMap, 'wing')).toThrow(/"zone"/);
    expect(() => zonePath({ ...hog.sideMap, edges: {} }, 'ham')).toThrow(/"edge"/);
  });
});

describe('the hog of the atlas', () => {
  const sharesOf = (choose: (atom: Atom) => boolean) =>
    hog.atlas.atoms.filter(choose).reduce((sum, atom) => sum + atom.sharePct, 0);
  const tissue = (kind: 'lean' | 'fat' | 'bone' | 'skin') =>
    hog.atlas.atoms.reduce((sum, atom) => sum + (atom.sharePct * atom.composition[kind]) / 100, 0);

  it('is a little over half lean', () => {
    expect(tissue('lean')).toBeCloseTo(51.6, 1);
    expect(tissue('fat')).toBeCloseTo(27.7, 1);
    expect(tissue('bone')).toBeCloseTo(14.5, 1);
    expect(tissue('skin')).toBeCloseTo(6.2, 1);
  });

  it('has its feet and tail at a little over three percent', () => {
    expect(sharesOf((atom) => /foot|tail$/.test(atom.id) && !/loin/.test(atom.id))).toBeCloseTo(3.2, 1);
  });
});

describe('the shop’s item numbers', () => {
  it('are given once over all species', () => {
    const numbers = allSpecies().flatMap((species) => Object.values(species.items));
    expect(new Set(numbers).size).toBe(numbers.length);
  });
});
