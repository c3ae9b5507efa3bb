import fc from 'fast-check';
import type { GrindLine, GrindOrder } from '../sheet/types';
import type { Weight } from '../quantity/weight';
import { half } from '../tests/halfHog';
import { fatNeeded, grindTrim, separablePct, type Trim } from './grind';

const rules = half.species.grind;

function line(change: Partial<GrindLine> = {}): GrindLine {
  return { recipe: 'plain', form: 'bulk', amount: { kind: 'rest' }, packWeight: 1000 as Weight, ...change };
}

function order(fatPct: number, ...lines: GrindLine[]): GrindOrder {
  return { fatPct, lines };
}

function trim(lean: number, looseFat: number, attachedFat = 0): Trim {
  return { lean, looseFat, attachedFat };
}

describe('the grind', () => {
  it('takes fat for the wish: 52 of lean and 13 of fat are 20 %', () => {
    expect(fatNeeded(52, 20)).toBe(13);
    expect(grindTrim(trim(52, 40), order(20, line()), { rules })).toMatchObject({ fatUsed: 13, fatPct: 20 });
  });

  it('never takes more fat than there is', () => {
    const short = grindTrim(trim(10_000, 1_000), order(30, line()), { rules });
    expect(short.fatUsed).toBe(1_000);
    expect(short.fatPct).toBeCloseTo(9.09, 2);
  });

  it('cannot come out leaner than the fat that hangs on the trim', () => {
    const fat = grindTrim(trim(43.38, 25.3, 10.6), order(20, line()), {
      rules: { ...rules, fatBasis: 'total', lipid: { lean: 0.06, fat: 0.8 } },
    });
    expect(fat.fatUsed).toBeCloseTo(10.6, 6);
    expect(fat.fatPct).toBeCloseTo(20.53, 2);
    expect(fat.floorPct).toBe(fat.fatPct);
  });

  it('counts total fat by what an analysis finds in lean and in fat', () => {
    const count = { fatBasis: 'total' as const, lipid: { lean: 0.06, fat: 0.8 } };
    expect(separablePct(20, count)).toBeCloseTo(18.919, 3);
    expect(separablePct(5, count)).toBe(0);
    expect(separablePct(25, { ...count, fatBasis: 'separable' })).toBe(25);
  });

  it('fills lines with a weight first and gives the rest to the last', () => {
    const asked = order(
      25,
      line({ recipe: 'breakfast', form: 'links', amount: { kind: 'weight', weight: 3_000 as Weight } }),
      line(),
    );
    const [links, bulk] = grindTrim(trim(7_500, 5_000), asked, { rules }).parts;
    expect(links!.packaged).toBeCloseTo(3_000, 6);
    expect(bulk!.packaged).toBeCloseTo(10_000 * 0.99 - 3_000 / 0.97, 6);
  });

  it('gives what is left to the last line when nobody asked for the rest', () => {
    const [only] = grindTrim(
      trim(7_500, 5_000),
      order(25, line({ amount: { kind: 'weight', weight: 2_000 as Weight } })),
      { rules },
    ).parts;
    expect(only!.packaged).toBeCloseTo(9_900, 6);
  });

  it('with no lean makes nothing', () => {
    const nothing = grindTrim(trim(0, 4_000), order(25, line()), { rules });
    expect(nothing).toMatchObject({ fatUsed: 0, fatPct: 0, loss: 0 });
    expect(nothing.parts[0]!.packaged).toBe(0);
  });

  it('loses nothing that it does not say', () => {
    const anyLine = fc.record({
      recipe: fc.constantFrom('plain', 'breakfast'),
      form: fc.constantFrom('bulk' as const, 'links' as const),
      amount: fc.oneof(
        fc.constant<GrindLine['amount']>({ kind: 'rest' }),
        fc.integer({ min: 1, max: 20_000 }).map((w): GrindLine['amount'] => ({
          kind: 'weight',
          weight: w as Weight,
        })),
      ),
      packWeight: fc.constant(1000 as Weight),
    });
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40_000, noNaN: true }),
        fc.double({ min: 0, max: 40_000, noNaN: true }),
        fc.double({ min: 0, max: 10_000, noNaN: true }),
        fc.integer({ min: 15, max: 35 }),
        fc.array(anyLine, { minLength: 1, maxLength: 4 }),
        (lean, fat, attachedFat, fatPct, lines) => {
          const result = grindTrim({ lean, looseFat: fat, attachedFat }, order(fatPct, ...lines), {
            rules,
            packShrinkShare: 0.005,
          });
          const made = result.parts.reduce((sum, part) => sum + part.packaged, 0);
          expect(made + result.loss + result.airLoss).toBeCloseTo(lean + result.fatUsed, 6);
          expect(result.fatUsed).toBeLessThanOrEqual(fat + attachedFat);
          expect(result.fatUsed).toBeGreaterThanOrEqual(attachedFat);
          expect(Math.min(result.loss, ...result.parts.map((part) => part.packaged))).toBeGreaterThanOrEqual(
            -1e-9,
          );
        },
      ),
    );
  });

  it('is picked as lean as asked, as far as a hand goes, for a price in pounds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 40_000, noNaN: true }),
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.integer({ min: 15, max: 35 }),
        (lean, attachedFat, fatPct) => {
          const asked = order(fatPct, line());
          const plain = grindTrim({ lean, looseFat: 0, attachedFat }, asked, { rules });
          const picked = grindTrim({ lean, looseFat: 0, attachedFat }, { ...asked, picked: true }, { rules });
          const made = picked.parts.reduce((sum, part) => sum + part.packaged, 0);
          expect(made + picked.loss + picked.leanPicked).toBeCloseTo(lean + picked.fatUsed, 6);
          const points = plain.fatPct - picked.fatPct;
          expect(points).toBeGreaterThanOrEqual(-1e-9);
          expect(points).toBeLessThanOrEqual(rules.picking.mostPoints + 1e-9);
          if (plain.fatPct <= fatPct) return expect(picked).toEqual(plain);
          if (points < rules.picking.mostPoints - 1e-9) expect(picked.fatPct).toBeCloseTo(fatPct, 6);
          const left = lean - picked.leanPicked + picked.fatUsed;
          const price = (rules.picking.lossPctPerPoint / 100) * points;
          expect(left / (lean + attachedFat)).toBeLessThanOrEqual(1 - price + 1e-9);
        },
      ),
    );
  });
});
