import fc from 'fast-check';
import type { GrindLine, GrindOrder } from '../sheet/types';
import type { Weight } from '../quantity/weight';
import { half } from '../tests/halfHog';
import { fatNeeded, grindTrim } from './grind';

const rules = half.species.grind;

function line(change: Partial<GrindLine> = {}): GrindLine {
  return { recipe: 'plain', form: 'bulk', amount: { kind: 'rest' }, packWeight: 1000 as Weight, ...change };
}

function order(fatPct: number, ...lines: GrindLine[]): GrindOrder {
  return { fatPct, lines };
}

describe('the grind', () => {
  it('takes fat for the wish: 52 of lean and 13 of fat are 20 %', () => {
    expect(fatNeeded(52, 20)).toBe(13);
    expect(grindTrim(52, 40, order(20, line()), rules)).toMatchObject({ fatUsed: 13, fatPct: 20 });
  });

  it('never takes more fat than there is', () => {
    const short = grindTrim(10_000, 1_000, order(30, line()), rules);
    expect(short.fatUsed).toBe(1_000);
    expect(short.fatPct).toBeCloseTo(9.09, 2);
  });

  it('fills lines with a weight first and gives the rest to the last', () => {
    const asked = order(
      25,
      line({ recipe: 'breakfast', form: 'links', amount: { kind: 'weight', weight: 3_000 as Weight } }),
      line(),
    );
    const [links, bulk] = grindTrim(7_500, 5_000, asked, rules).parts;
    expect(links!.packaged).toBeCloseTo(3_000, 6);
    expect(bulk!.packaged).toBeCloseTo(10_000 * 0.99 - 3_000 / 0.97, 6);
  });

  it('gives what is left to the last line when nobody asked for the rest', () => {
    const [only] = grindTrim(
      7_500,
      5_000,
      order(25, line({ amount: { kind: 'weight', weight: 2_000 as Weight } })),
      rules,
    ).parts;
    expect(only!.packaged).toBeCloseTo(9_900, 6);
  });

  it('with no lean makes nothing', () => {
    const nothing = grindTrim(0, 4_000, order(25, line()), rules);
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
        fc.integer({ min: 15, max: 35 }),
        fc.array(anyLine, { minLength: 1, maxLength: 4 }),
        (lean, fat, fatPct, lines) => {
          const result = grindTrim(lean, fat, order(fatPct, ...lines), rules);
          const made = result.parts.reduce((sum, part) => sum + part.packaged, 0);
          expect(made + result.loss).toBeCloseTo(lean + result.fatUsed, 6);
          expect(result.fatUsed).toBeLessThanOrEqual(fat);
          expect(Math.min(result.loss, ...result.parts.map((part) => part.packaged))).toBeGreaterThanOrEqual(
            -1e-9,
          );
        },
      ),
    );
  });
});
