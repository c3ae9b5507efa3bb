import fc from 'fast-check';
import { findingsOf } from '../sheet/findings';
import { anyOrder } from '../tests/anySheet';
import { sheetProblems } from '../sheet/sheetProblems';
import { claimsOnSide, forecast } from './forecast';

const RUNS = { numRuns: 2000, seed: 20261124 };
const DUST = 1e-9;

describe('every sheet, however odd', () => {
  it('claims every part of every atom exactly once', () => {
    fc.assert(
      fc.property(anyOrder, ({ situation, sheet, coldSides }) => {
        coldSides.forEach((_, index) => {
          const { claims, block } = claimsOnSide(situation, sheet, coldSides, index === 0 ? 1 : 2);
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
      fc.property(anyOrder, ({ situation, sheet, coldSides }) => {
        const result = forecast(situation, sheet, coldSides);
        const packaged = result.lines.reduce((sum, line) => sum + line.packaged, 0);
        const lost = Object.values(result.losses).reduce((sum, w) => sum + w, 0);
        expect(packaged + lost).toBe(result.coldWeight);
        expect(result.takeHome).toBe(packaged);
        const all = [
          ...result.lines.flatMap((l) => [l.packaged, l.kerf, l.gross]),
          ...Object.values(result.losses),
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

  it('never leaves a clash or a hole without a finding', () => {
    fc.assert(
      fc.property(anyOrder, ({ situation, sheet, coldSides }) => {
        const findings = findingsOf(situation, sheet, coldSides, forecast(situation, sheet, coldSides));
        coldSides.forEach((_, index) => {
          const { claims } = claimsOnSide(situation, sheet, coldSides, index === 0 ? 1 : 2);
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
      { ...RUNS, numRuns: 500 },
    );
  });

  it('cuts no more chops when they are thicker', () => {
    fc.assert(
      fc.property(anyOrder, fc.double({ min: 0.5, max: 1.2, noNaN: true }), (order, thin) => {
        const { situation, sheet, coldSides } = order;
        const pieces = (thicknessIn: number) => {
          const form = {
            option: 'chops',
            amount: { kind: 'rest' as const },
            params: { thickness: thicknessIn, perPack: 2, fatLeft: 0.25, cure: 'fresh' },
          };
          const answers = { ...sheet.answers, 'center-loin': { forms: [form] } };
          const cut = forecast(situation, { ...sheet, answers, secondSide: {} }, coldSides);
          return cut.lines.find((line) => line.key === 'center-loin.0.0')!.pieces!;
        };
        expect(pieces(thin + 0.3)).toBeLessThanOrEqual(pieces(thin));
      }),
      { ...RUNS, numRuns: 300 },
    );
  });
});
