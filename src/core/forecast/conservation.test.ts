import fc from 'fast-check';
import { findingsOf } from '../questions/findings';
import { emptySheet, formOf } from '../sheet/houseSheet';
import { allSpecies } from '../tests/catalogue';
import { anyOrder, anyOrderOf, anySides, anySituation } from '../tests/anySheet';
import { sheetProblems } from '../sheet/sheetProblems';
import type { Weight } from '../quantity/weight';
import { forecast } from './forecast';
import { divideSides } from './onTheBlock';
import type { Forecast } from './types';

const RUNS = { numRuns: 400, seed: 20261124 };
const DUST = 1e-9;

/** Any cut of any species that is sliced at a thickness, and the sides it comes from. */
const anySliced = anySituation.chain((situation) => {
  const sliced = situation.species.decisions.flatMap((decision) =>
    decision.options.flatMap((option) => {
      const thickness = option.params?.find((spec) => spec.id === 'thickness');
      return thickness?.kind === 'length' && !decision.needsAddOn ? [{ decision, option, thickness }] : [];
    }),
  );
  return fc
    .record({
      situation: fc.constant(situation),
      coldSides: anySides(situation),
      cut: fc.constantFrom(...sliced),
    })
    .map(({ cut, ...rest }) => ({ ...rest, ...cut }));
});

/** Cure may take less than nothing: brine that stays in. */
function lossesWithoutCure({ losses }: Forecast): Weight[] {
  return Object.entries(losses).flatMap(([place, lost]) => (place === 'cure' ? [] : [lost]));
}

describe.each(allSpecies().map((species) => [species.id, species] as const))(
  'every sheet of %s, however odd',
  (_, species) => {
    const order = anyOrderOf(species);

    it('claims every part of every atom exactly once', () => {
      fc.assert(
        fc.property(order, ({ situation, sheet, coldSides }) => {
          coldSides.forEach((_, index) => {
            const { claims, block } = divideSides({ situation, sheet, coldSides })[index]!;
            const covered = Float64Array.from(claims.free);
            for (const holding of claims.holdings) {
              holding.cells.forEach((cell, i) => {
                if (!(holding.fractions[i]! > 0)) throw new Error(`nothing held of cell ${cell}`);
                covered[cell]! += holding.fractions[i]!;
              });
            }
            expect(covered.length).toBe(block.cells.count);
            expect(covered.every((part, cell) => Math.abs(part - block.cells.sound[cell]!) < DUST * 10)).toBe(
              true,
            );
            expect(claims.free.every((free) => free >= 0)).toBe(true);
          });
        }),
        RUNS,
      );
    });

    it('conserves weight to the last thousandth, and nothing goes below zero', () => {
      fc.assert(
        fc.property(order, ({ situation, sheet, coldSides }) => {
          const result = forecast(situation, sheet, coldSides);
          const packaged = result.lines.reduce((sum, line) => sum + line.packaged, 0);
          const lost = Object.values(result.losses).reduce((sum, w) => sum + w, 0);
          expect(packaged + lost).toBe(result.coldWeight);
          expect(result.takeHome).toBe(packaged);
          const all = [
            ...result.lines.flatMap((l) => [l.packaged, l.kerf, l.gross]),
            ...lossesWithoutCure(result),
          ];
          expect(all.filter((w) => w < 0)).toEqual([]);
          for (const line of result.lines) {
            const trim = Object.values(line.trim).reduce((sum, w) => sum + w, 0);
            expect(line.packaged + line.airLoss + line.cureLoss + line.kerf + trim).toBe(line.gross);
          }
          expect(new Set(result.lines.map((line) => line.key)).size).toBe(result.lines.length);
        }),
        RUNS,
      );
    });
  },
);

describe('every sheet, however odd', () => {
  it('never leaves a clash or a hole without a finding', () => {
    fc.assert(
      fc.property(anyOrder, ({ situation, sheet, coldSides }) => {
        const findings = findingsOf({ situation, sheet, coldSides }, forecast(situation, sheet, coldSides));
        coldSides.forEach((_, index) => {
          const { claims } = divideSides({ situation, sheet, coldSides })[index]!;
          for (const clash of claims.clashes) {
            expect(findings.some((f) => f.kind === 'clash' && f.blocks && clash.wants !== clash.holder)).toBe(
              true,
            );
          }
        });
        for (const finding of findings) expect(finding.sentence).not.toMatch(/undefined|NaN/);
        expect(sheetProblems(situation, sheet).every((problem) => problem.field && problem.message)).toBe(
          true,
        );
      }),
      { ...RUNS, numRuns: 300 },
    );
  });

  it('cuts no more pieces when they are thicker', () => {
    const part = fc.double({ noNaN: true, min: 0, max: 1 });
    fc.assert(
      fc.property(anySliced, part, part, (cut, a, b) => {
        const { situation, decision, option, thickness } = cut;
        const pieces = (along: number) => {
          const thick = thickness.minIn + along * (thickness.maxIn - thickness.minIn);
          const form = formOf(decision, option.id, situation);
          const answers = {
            [decision.id]: { forms: [{ ...form, params: { ...form.params, [thickness.id]: thick } }] },
          };
          const { lines } = forecast(situation, { ...emptySheet(situation), answers }, cut.coldSides);
          return lines.reduce((sum, line) => sum + (line.thicknessIn === null ? 0 : line.pieces!), 0);
        };
        expect(pieces(Math.max(a, b))).toBeLessThanOrEqual(pieces(Math.min(a, b)));
      }),
      { ...RUNS, numRuns: 1000 },
    );
  });
});
