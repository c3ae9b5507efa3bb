import { rollup } from 'd3-array';
import fc from 'fast-check';
import { cellsOf } from '../atlas/cells';
import type { Weight } from '../quantity/weight';
import type { Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import { anySheet, anySides, anySituation } from '../tests/anySheet';
import { forecast } from './forecast';
import type { Forecast } from './types';

const RUNS = { numRuns: 2000, seed: 20261125 };
/** Rounding moves a line by a thousandth or two. */
const ROUNDING = 3;

const REST = { kind: 'rest' } as const;

/** The sheet with every form taking the rest: a wish for so many pounds takes another part of a smaller zone. */
function withoutAmounts(sheet: Sheet): Sheet {
  const answers = Object.entries(sheet.answers).map(([id, answer]) => [
    id,
    { forms: answer.forms.map((form) => ({ ...form, amount: REST })) },
  ]);
  const lines = sheet.grind.lines.slice(0, 1).map((line) => ({ ...line, amount: REST }));
  return {
    ...sheet,
    answers: Object.fromEntries(answers),
    secondSide: {},
    grind: { ...sheet.grind, lines },
  };
}

const anyCarcass = anySituation.chain((situation) =>
  fc.record({
    situation: fc.constant(situation),
    sheet: anySheet(situation).map(withoutAmounts),
    coldSides: anySides(situation),
    atom: fc.constantFrom(...situation.species.atlas.atoms.map((each) => each.id)),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
  }),
);

/**
 * Decisions and grind that weigh more after than before, by more than rounding. Surplus fat is not meant: less lean draws
 * less of it into the grind; nor are two forms of one decision, which part what is left anew.
 */
function grown(before: Forecast, after: Forecast): string[] {
  const was = packedByDecision(before);
  return [...packedByDecision(after)]
    .filter(([decision, packaged]) => packaged > (was.get(decision) ?? 0) * 1.0001 + ROUNDING)
    .map(([decision]) => decision);
}

function packedByDecision({ lines }: Forecast): Map<string, number> {
  return rollup(
    lines.filter(({ kind }) => kind !== 'kept'),
    (own) => own.reduce((sum, { packaged }) => sum + packaged, 0),
    ({ decision }) => decision,
  );
}

function withCondition(situation: Situation, change: Situation['condition']): Situation {
  return { ...situation, condition: { ...situation.condition, ...change } };
}

describe('every carcass', () => {
  it('with a piece condemned has no more of anything else', () => {
    fc.assert(
      fc.property(anyCarcass, ({ situation, sheet, coldSides, atom, share }) => {
        const before = forecast(withCondition(situation, { condemned: {} }), sheet, coldSides);
        const after = forecast(withCondition(situation, { condemned: { [atom]: share } }), sheet, coldSides);
        expect(grown(before, after)).toEqual([]);
      }),
      RUNS,
    );
  });

  it('with a piece gone before it was weighed has no more of anything else than the whole side had', () => {
    fc.assert(
      fc.property(anyCarcass, ({ situation, sheet, coldSides, atom, share }) => {
        const { species, unit, tools } = situation;
        const shifts = { ...species.shifts, perSideLb: {}, perSideLbUnknownFatness: {} };
        const plain: Situation = { species: { ...species, shifts }, unit, sides: 1, addOns: [], tools };
        const sharePct = species.atlas.atoms.find((each) => each.id === atom)!.sharePct;
        const left = Math.round(coldSides[0]! * (1 - (share * sharePct) / 100)) as Weight;
        const before = forecast(plain, sheet, coldSides.slice(0, 1));
        const after = forecast(withCondition(plain, { missing: { [atom]: share } }), sheet, [left]);
        expect(grown(before, after)).toEqual([]);
      }),
      RUNS,
    );
  });

  it('leaner by the rule never gives a fatter grind', () => {
    const part = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(anyCarcass, part, part, ({ situation, sheet, coldSides }, a, b) => {
        const { min, max } = situation.species.shifts.fatness;
        const { eyeSqIn: _, ...condition } = situation.condition ?? {};
        const pool = (along: number) => {
          const measured = { ...condition, fatness: min + along * (max - min) };
          return forecast({ ...situation, condition: measured }, sheet, coldSides).pool;
        };
        const [lean, fat] = [pool(Math.min(a, b)), pool(Math.max(a, b))];
        if (lean.lean === 0 || fat.lean === 0) return;
        expect(lean.floorPct).toBeLessThanOrEqual(fat.floorPct + 1e-6);
        expect(lean.fatPct).toBeLessThanOrEqual(fat.fatPct + 1e-6);
      }),
      RUNS,
    );
  });

  it('broken one rib further loses no mass: what one zone loses the others have', () => {
    fc.assert(
      fc.property(anyCarcass, ({ situation, sheet, coldSides }) => {
        const lb = situation.species.atlas.reference.sideLb;
        const total = (cells: ReturnType<typeof cellsOf>) =>
          cells.share.reduce((sum, share) => sum + share, 0);
        expect(total(cellsOf(situation, lb))).toBeCloseTo(1, 9);
        const moved = forecast(situation, sheet, coldSides);
        const usual = forecast({ ...situation, breaks: {} }, sheet, coldSides);
        expect(moved.coldWeight).toBe(usual.coldWeight);
      }),
      { ...RUNS, numRuns: 500 },
    );
  });
});
