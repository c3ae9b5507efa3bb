import { cellsOf } from '../atlas/cells';
import { speciesById } from '../tests/catalogue';
import { allSpecies } from '../tests/catalogue';
import { breakPlan, type BreakPlan } from './breaks';

/** Pounds of a side that answer to these atoms. */
function pounds(speciesId: string, breaks: BreakPlan, ids: readonly string[]): number {
  const species = speciesById(speciesId);
  const lb = species.atlas.reference.sideLb;
  const cells = cellsOf({ species, addOns: [], breaks }, lb);
  return ids
    .flatMap((id) => cells.cellsOfAtom.get(id) ?? [])
    .reduce((sum, cell) => sum + cells.share[cell]! * lb, 0);
}

describe.each(allSpecies().map((species) => [species.id, species] as const))(
  'every break of a %s',
  (_, species) => {
    const places = species.breaks.flatMap((each) => each.places.map((place) => [each.id, place.id] as const));

    it.each(places)('%s at %s loses no mass and keeps every tissue', (id, place) => {
      const lb = species.atlas.reference.sideLb;
      const usual = cellsOf({ species, addOns: [] }, lb);
      const moved = cellsOf({ species, addOns: [], breaks: { [id]: place } }, lb);
      const total = (numbers: Float64Array) => numbers.reduce((sum, each) => sum + each, 0);
      for (const what of ['share', 'lean', 'fat', 'bone', 'skin'] as const) {
        expect(total(moved[what])).toBeCloseTo(total(usual[what]), 9);
      }
    });

    it('goes one way: each rib further gives the one zone more and the other less', () => {
      const lb = species.atlas.reference.sideLb;
      for (const each of species.breaks.filter((broken) => broken.hindToFore)) {
        const order = each.places
          .filter((place) => place.behind !== undefined)
          .sort(
            (a, b) => species.atlas.vertebrae.indexOf(a.behind!) - species.atlas.vertebrae.indexOf(b.behind!),
          );
        const fore = new Set([
          ...each.hindToFore!.map((move) => move.to),
          ...(each.foreToHind ?? []).map((move) => move.from),
        ]);
        const weights = order.map((place) => {
          const cells = cellsOf({ species, addOns: [], breaks: { [each.id]: place.id } }, lb);
          return [...fore]
            .flatMap((id) => cells.cellsOfAtom.get(id) ?? [])
            .reduce((sum, cell) => sum + cells.share[cell]!, 0);
        });
        weights.slice(1).forEach((weight, index) => expect(weight).toBeGreaterThan(weights[index]!));
      }
    });
  },
);

describe('the shoulder of a hog', () => {
  const BUTT = ['coppa', 'butt-under-blade', 'blade-muscles', 'butt-cover-fat', 'scapula-dorsal'];
  const PICNIC = ['picnic-cushion', 'picnic-lean', 'picnic-cover', 'picnic-bones'];
  const moves = (place: string, atoms: string[]) =>
    pounds('hog', { shoulder: place }, atoms) - pounds('hog', {}, atoms);

  it.each([
    ['1-2', -1.3, -0.9, -0.2],
    ['3-4', 0.9, 0.7, 0.6],
    ['4-5', 1.8, 1.4, 1.2],
  ])('broken at %s moves butt, picnic and neck bones', (place, butt, picnic, neck) => {
    expect(Math.abs(moves(place, BUTT) - butt)).toBeLessThan(0.16);
    expect(Math.abs(moves(place, PICNIC) - picnic)).toBeLessThan(0.16);
    expect(Math.abs(moves(place, ['neck-bones']) - neck)).toBeLessThan(0.16);
  });
});

describe('the ham of a hog', () => {
  const HAM = ['ham-rump', 'aitch-bone', 'ham-cover-fat', 'ham-collar-fat'];
  const moves = (place: string) => pounds('hog', { ham: place }, HAM) - pounds('hog', {}, HAM);

  it.each([
    ['1.5in', -1.3],
    ['3.5in', 1.4],
    ['disc', 4.2],
  ])('broken at %s changes by %d pounds', (place, change) => {
    expect(Math.abs(moves(place) - change)).toBeLessThan(0.05);
  });
});

describe('a break plan', () => {
  const hog = speciesById('hog');

  it('takes what is said before the school, and the school before the reference', () => {
    expect(breakPlan(hog, 'country', { shoulder: '1-2' })).toMatchObject({ shoulder: '1-2', ham: 'disc' });
    expect(breakPlan(hog)).toEqual({ shoulder: '2-3', ham: '2.5in', scribe: '1in', 'flank-flap': 'belly' });
  });

  it('of places, breaks or schools that are not is a breach of contract', () => {
    expect(() => breakPlan(hog, 'martian')).toThrow(/"school" expected one of hog/);
    expect(() => breakPlan(hog, undefined, { wing: '1' })).toThrow(/"breaks" expected breaks of hog/);
    expect(() => breakPlan(hog, undefined, { ham: '9in' })).toThrow(/"ham" expected a place/);
  });
});
