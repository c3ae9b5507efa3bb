import fc from 'fast-check';
import { forecast } from '../forecast/forecast';
import type { ForecastLine } from '../forecast/types';
import { weight, type Weight } from '../quantity/weight';
import { normalsFrom } from '../ranges/normals';
import { houseSheet } from '../sheet/houseSheet';
import type { Situation } from '../sheet/situation';
import { speciesById } from '../tests/catalogue';
import { learn, noExperience, type Outcome } from './experience';

const RUNS = 12;
const ORDERS = 60;

type Step = { readonly line: ForecastLine; readonly packed: number };

/**
 * A season of a shop whose hand differs from the reference, cut by cut, by a ratio nobody knows. Animals differ in
 * weight, and every order's cuts scatter as the species' figures say. Each order is forecast by what is known before it.
 */
function season(speciesId: string, seed: number, wilder = 1): Step[][] {
  const species = speciesById(speciesId);
  const normal = normalsFrom(seed);
  const situation: Situation = { species, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
  const sheet = houseSheet(situation);
  const truth = new Map<string, number>();
  const outcomes: Outcome[] = [];
  return Array.from({ length: ORDERS }, () => {
    const lb = species.atlas.reference.sideLb * (1 + 0.08 * normal());
    const cold: Weight[] = [weight(lb)];
    const experience = learn(outcomes, species.uncertainty);
    const lines = forecast({ ...situation, experience }, sheet, cold).lines;
    const reference = forecast(situation, sheet, cold).lines;
    return reference.flatMap((plain) => {
      if (plain.kind !== 'cut') return [];
      const line = lines.find((each) => each.key === plain.key)!;
      if (!truth.has(plain.ownCut)) {
        truth.set(plain.ownCut, Math.exp(species.uncertainty.priorSd * normal()));
      }
      const scatter = Math.sqrt(Math.max(0, plain.relativeSd ** 2 - species.uncertainty.priorSd ** 2));
      const packed = plain.packaged * truth.get(plain.ownCut)! * Math.exp(wilder * scatter * normal());
      outcomes.push({ cut: plain.ownCut, expected: plain.packaged, packed, relativeSd: scatter });
      return [{ line, packed }];
    });
  });
}

function coverage(steps: readonly Step[]): number {
  const inside = steps.filter(({ line, packed }) => packed >= line.low && packed <= line.high);
  return inside.length / steps.length;
}

function meanError(steps: readonly Step[]): number {
  const errors = steps.map(({ line, packed }) => Math.abs(line.packaged / packed - 1));
  return errors.reduce((sum, each) => sum + each, 0) / errors.length;
}

describe.each(['beef', 'hog', 'lamb'])('a simulated season of %s', (species) => {
  const seasons = Array.from({ length: RUNS }, (_, run) => season(species, 1000 + run));
  const orders = (from: number, to: number) => seasons.flatMap((steps) => steps.slice(from, to).flat());

  it('has four in five outcomes inside the ranges, early and late', () => {
    for (const steps of [orders(0, 5), orders(5, 20), orders(20, ORDERS), orders(0, ORDERS)]) {
      expect(coverage(steps)).toBeGreaterThan(0.75);
      expect(coverage(steps)).toBeLessThan(0.85);
    }
  });

  it('is forecast better the more orders are finished', () => {
    const [first, early, late] = [orders(0, 1), orders(4, 12), orders(30, ORDERS)].map(meanError);
    expect(early!).toBeLessThan(first!);
    expect(late!).toBeLessThan(early!);
  });

  it('narrows its ranges and says how much its own orders count', () => {
    const [before] = seasons[0]![0]!;
    const after = seasons[0]!.at(-1)!.find(({ line }) => line.key === before!.line.key)!;
    expect(before!.line.evidence).toBe(0);
    expect(after.line.evidence).toBeGreaterThan(0.8);
    expect(after.line.relativeSd).toBeLessThan(before!.line.relativeSd);
  });
});

describe('a shop whose hands scatter half as much again', () => {
  it('has its ranges right once it has finished some orders', () => {
    const late = Array.from({ length: RUNS }, (_, run) =>
      season('hog', 2000 + run, 1.5)
        .slice(25)
        .flat(),
    ).flat();
    expect(coverage(late)).toBeGreaterThan(0.75);
    expect(coverage(late)).toBeLessThan(0.85);
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

  it('knows nothing from nothing, and cannot be led astray by one mishap', () => {
    expect(learn([], uncertainty)).toEqual({});
    expect(noExperience(uncertainty)).toMatchObject({ orders: 0, logRatio: 0, evidence: 0 });
    const usual = Array.from({ length: 20 }, () => outcome(10));
    expect(Math.abs(learn([...usual, outcome(90)], uncertainty).chops!.logRatio)).toBeLessThan(0.02);
  });

  it('is the same whatever the order of the orders', () => {
    const any = fc.array(
      fc.record({
        cut: fc.constantFrom('chops', 'ham', 'bacon'),
        expected: fc.double({ min: 0.5, max: 50, noNaN: true }),
        packed: fc.double({ min: 0.5, max: 50, noNaN: true }),
        relativeSd: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
      }),
      { minLength: 1, maxLength: 30 },
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
