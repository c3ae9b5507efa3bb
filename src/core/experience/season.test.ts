import fc from 'fast-check';
import { normalsFrom } from '../ranges/normals';
import { speciesById } from '../tests/catalogue';
import { learn, learnFigures, noExperience, type Outcome } from './experience';
import { seasonFigures } from '../tests/seasonFigures';

const SHOPS = { shops: 50, asked: 6 } as const;

describe.each([
  ['beef', [0, 10, 30]],
  ['hog', [0, 10, 30]],
  ['lamb', [0, 10, 30, 200]],
] as const)('simulated seasons of %s', (id, after) => {
  const species = speciesById(id);
  const usual = seasonFigures(species, { ...SHOPS, after, seed: 1000 });
  const apart = seasonFigures(species, { ...SHOPS, after: [0, 30], seed: 3000, differs: 0.12 });

  it('have four in five outcomes inside the ranges of cuts, early and late, and about as many take-homes', () => {
    for (const { cuts, takeHome, bill } of usual) {
      expect(Math.abs(cuts - 0.8)).toBeLessThan(0.05);
      // One figure a share, and all shares of a shop err together.
      expect(Math.abs(takeHome - 0.8)).toBeLessThan(0.08);
      // A bill whose weights are all known has no range, and is always in it.
      if (bill < 1) expect(Math.abs(bill - 0.8)).toBeLessThan(0.08);
    }
  });

  it('know a shop that differs from the reference at least twice as well after thirty orders', () => {
    const [none, thirty] = apart;
    expect(thirty!.usualError).toBeLessThan(0.5 * none!.usualError);
    expect(thirty!.error).toBeLessThan(none!.error);
  });
});

describe('a shop whose hands scatter half as much again', () => {
  it('has its ranges right once it has finished some orders', () => {
    const [late] = seasonFigures(speciesById('hog'), {
      ...{ ...SHOPS, after: [40], seed: 2000, wilder: 1.5 },
    });
    expect(Math.abs(late!.cuts - 0.8)).toBeLessThan(0.05);
  });
});

describe('learning', () => {
  const uncertainty = { atomCv: 0.04, cutCv: 0.03, sideSd: 0.02, priorSd: 0.04 };
  const outcome = (packed: number, cut = 'chops'): Outcome => ({
    cut,
    expected: 10,
    packed,
    relativeSd: 0.05,
  });

  it('goes a little towards one order and nearly all the way after a hundred', () => {
    const one = learn([outcome(11)], uncertainty).chops!;
    const many = learn(
      Array.from({ length: 100 }, () => outcome(11)),
      uncertainty,
    ).chops!;
    expect(one.logRatio).toBeGreaterThan(0);
    expect(one.logRatio).toBeLessThan(Math.log(1.1) * 0.5);
    expect(many.logRatio).toBeGreaterThan(Math.log(1.1) * 0.95);
    expect(many.logRatioSd).toBeLessThan(one.logRatioSd);
  });

  it('knows nothing from nothing, and holds back a mishap', () => {
    expect(learn([], uncertainty)).toEqual({});
    expect(noExperience(uncertainty)).toMatchObject({ orders: 0, logRatio: 0, evidence: 0 });
    const usual = Array.from({ length: 20 }, () => outcome(10));
    const mishap = { ...outcome(90), source: 'a slip' };
    expect(learn([...usual, mishap], uncertainty)).toEqual(learn(usual, uncertainty));
    expect(learnFigures([...usual, mishap], uncertainty)[0]!.heldBack).toEqual([mishap]);
  });

  it('counts an order of another kind for less', () => {
    const own = Array.from({ length: 4 }, () => outcome(11));
    const other = own.map((each) => ({ ...each, weight: 0.25 }));
    const [full, quarter] = [own, other].map((each) => learn(each, uncertainty).chops!);
    expect(quarter!.logRatio).toBeGreaterThan(0);
    expect(quarter!.logRatio).toBeLessThan(full!.logRatio);
    expect(quarter!.logRatioSd).toBeGreaterThan(full!.logRatioSd);
  });

  it('notices that a shop has changed its hand, and follows it', () => {
    const normal = normalsFrom(5);
    const months = (from: number, mean: number) =>
      Array.from({ length: 20 }, (_, i) => ({
        ...outcome(mean * Math.exp(0.03 * normal())),
        at: `2026-${String(from + Math.floor(i / 5)).padStart(2, '0')}-${String(1 + (i % 5)).padStart(2, '0')}`,
      }));
    const steady = [...months(1, 10), ...months(5, 10)];
    expect(learnFigures(steady, uncertainty)[0]!.change).toBeNull();
    const changed = [...months(1, 10), ...months(5, 11)];
    const [figure] = learnFigures(changed, uncertainty);
    expect(figure!.change).toMatchObject({ since: expect.stringMatching(/^2026-05/) });
    expect(figure!.change!.pct).toBeGreaterThan(7);
    expect(figure!.change!.pct).toBeLessThan(13);
    expect(figure!.logRatio).toBeGreaterThan(Math.log(1.1) * 0.75);
  });

  it('is the same whatever the order of the orders', () => {
    const any = fc.array(
      fc.record({
        cut: fc.constantFrom('chops', 'ham', 'bacon'),
        expected: fc.double({ min: 0.5, max: 50, noNaN: true }),
        packed: fc.double({ min: 0.5, max: 50, noNaN: true }),
        relativeSd: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        at: fc.constantFrom('2026-01-01', '2026-02-01', '2026-03-01'),
      }),
      { minLength: 1, maxLength: 60 },
    );
    fc.assert(
      fc.property(any, (outcomes) => {
        const [ahead, back] = [outcomes, [...outcomes].reverse()].map((each) => learn(each, uncertainty));
        for (const [cut, own] of Object.entries(ahead!)) {
          expect(back![cut]!.logRatio).toBeCloseTo(own.logRatio, 9);
          expect(own.evidence).toBeGreaterThan(0);
          expect(own.evidence).toBeLessThan(1);
        }
      }),
      { numRuns: 500, seed: 20261125 },
    );
  });
});
