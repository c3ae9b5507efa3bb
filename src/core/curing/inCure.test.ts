import fc from 'fast-check';
import { weight, type Weight } from '../quantity/weight';
import { pantryOf } from '../species/recipe';
import { catalogue } from '../tests/catalogue';
import type { Day } from '../time/shopTime';
import { checkCure, erythorbateOf, ppmOf, type CureRecipe } from './cureRecipe';
import { cureStanding, whyNotInCure, type CureDeed, type CuredPiece } from './inCure';
import { USUAL_NITRITE, verdictOf } from './limits';

const pantry = pantryOf(catalogue.ingredients);
const ground = { pantry, rules: USUAL_NITRITE };

const brine = (cure: number, change: Partial<CureRecipe> = {}): CureRecipe => ({
  id: 'ham',
  for: ['cured'],
  name: 'Ham brine',
  of: 'ham',
  method: 'pumped',
  takesPct: 12,
  parts: [
    { ingredient: 'water', lb: 78.8 },
    { ingredient: 'salt', lb: 14.2 },
    { ingredient: 'curing salt', lb: cure },
  ],
  ...change,
});

const ham = (change: Partial<CuredPiece> = {}): CuredPiece => ({
  recipe: brine(2.36),
  thicknessIn: 5,
  skinOn: false,
  green: weight(18),
  begun: '2026-11-20' as Day,
  ...change,
});

describe('a recipe of a cure', () => {
  it('is reckoned by its method, and refused over the limit of its class', () => {
    expect(ppmOf(brine(2.36), pantry)).toBeCloseTo(177, 0);
    expect(checkCure(brine(2.36), ground)).toEqual({ refused: [], warned: [] });
    const bacon = brine(2.36, { of: 'bacon-pumped' });
    expect(checkCure(bacon, ground).refused).toEqual([
      '177 ppm nitrite, where bacon, pumped may have 120.',
      'Pumped bacon needs 550 ppm erythorbate; this brings 0.',
    ]);
    const good = brine(1.6, { of: 'bacon-pumped' });
    const withIt = { ...good, parts: [...good.parts, { ingredient: 'erythorbate', lb: 0.4584 }] };
    expect(Math.round(erythorbateOf(withIt))).toBe(550);
    expect(checkCure(withIt, ground)).toEqual({ refused: [], warned: [] });
    expect(checkCure(withIt, { ...ground, skinOn: true }).refused).toHaveLength(1);
    const rub = brine(0.24, { method: 'dry', takesPct: 0, of: 'bacon-dry' });
    expect(ppmOf(rub, pantry)).toBeCloseTo(150, 9);
    const level = brine(0.72, { method: 'immersed', level: true, brinePerMeat: 0.5, takesPct: 0 });
    expect(ppmOf(level, pantry)).toBeCloseTo(150, 9);
    expect(checkCure(brine(0), ground).warned[0]).toMatch(/^No nitrite/);
    expect(checkCure(brine(1), ground).warned[0]).toMatch(/^Under 120 ppm/);
  });
});

describe('a piece in its cure', () => {
  it('is weighed green, pumped, drained; is due by its thickness, and comes out then', () => {
    const piece = ham();
    const deeds: CureDeed[] = [
      { kind: 'pumped', net: weight(20.7) },
      { kind: 'drained', net: weight(20.16) },
      { kind: 'moved', place: 'cooler 2' },
      { kind: 'turned', day: '2026-11-22' as Day },
    ];
    const standing = cureStanding(piece, deeds, ground);
    expect(standing).toMatchObject({ place: 'cooler 2', turned: 1, due: '2026-11-25', out: null, held: '' });
    expect(standing.pumpPct).toBeCloseTo(15, 9);
    expect(standing.retainedPct).toBeCloseTo(12, 9);
    // By what was pumped, not by what stayed.
    expect(standing.ppm).toBeCloseTo(221.25, 2);
    expect(standing.verdict).toBe('over');
    const say = (deed: CureDeed, at = cureStanding(piece, [{ kind: 'pumped', net: weight(20) }], ground)) =>
      whyNotInCure(piece, at, deed, { unit: 'lb' });
    expect(say({ kind: 'out', day: '2026-11-24' as Day })).toMatch(/through on 2026-11-25/);
    expect(say({ kind: 'out', day: '2026-11-25' as Day })).toBe('');
    expect(say({ kind: 'out', day: '2026-11-25' as Day }, standing)).toMatch(/goes to nobody/);
    expect(say({ kind: 'drained', net: weight(20.1) })).toMatch(/more than pumped/);
    expect(say({ kind: 'pumped', net: weight(17) })).toMatch(/cannot weigh less/);
    const bare = cureStanding(piece, [], ground);
    expect(say({ kind: 'out', day: '2026-12-25' as Day }, bare)).toMatch(/never weighed pumped/);
    expect(say({ kind: 'drained', net: weight(18) }, bare)).toBe('Weigh it pumped first.');
  });

  it('comes out over no limit, held by nobody and never early, whatever is done in whatever order', () => {
    const anyDay = fc.integer({ min: 18, max: 30 }).map((day) => `2026-11-${day}` as Day);
    const anyDeed: fc.Arbitrary<CureDeed> = fc.oneof(
      fc.record({
        kind: fc.constantFrom('pumped' as const, 'drained' as const),
        net: fc.integer({ min: 17_000, max: 24_000 }).map((net) => net as Weight),
      }),
      anyDay.map((day) => ({ kind: 'out' as const, day })),
      anyDay.map((day) => ({ kind: 'turned' as const, day })),
      fc.constantFrom(
        { kind: 'held' as const, reason: 'warm' },
        { kind: 'released' as const, reason: 'cold' },
      ),
    );
    fc.assert(
      fc.property(
        fc.array(anyDeed, { maxLength: 30 }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        (tries, cure) => {
          const piece = ham({ recipe: brine(cure) });
          const deeds: CureDeed[] = [];
          let heldWhenOut = '';
          for (const deed of tries) {
            const standing = cureStanding(piece, deeds, ground);
            if (whyNotInCure(piece, standing, deed, { unit: 'lb' }) !== '') continue;
            if (deed.kind === 'out') heldWhenOut = standing.held;
            deeds.push(deed);
          }
          const { out, ppm, limit, due } = cureStanding(piece, deeds, ground);
          if (out === null) return;
          expect(verdictOf(USUAL_NITRITE, ppm, limit)).not.toBe('over');
          expect(heldWhenOut).toBe('');
          expect(out >= due).toBe(true);
        },
      ),
      { numRuns: 500, seed: 20261127 },
    );
  });
});
