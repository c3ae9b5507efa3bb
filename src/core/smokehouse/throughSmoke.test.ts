import fc from 'fast-check';
import type { CureRecipe } from '../curing/cureRecipe';
import { cureStanding, whyNotInCure, type Cure, type CureDeed, type CureEvent } from '../curing/inCure';
import { USUAL_NITRITE } from '../curing/limits';
import type { ShareId } from '../order/animal';
import type { Weighing, WeighingId } from '../order/work';
import { weight, type Weight } from '../quantity/weight';
import { pantryOf } from '../species/recipe';
import { catalogue } from '../tests/catalogue';
import type { Day, Instant } from '../time/shopTime';
import { loadStanding, whyNotLoad, type SmokeDeed, type SmokeEvent, type SmokeLoad } from './load';
import { againstPlan } from './plan';
import { throughOf } from './throughSmoke';

const ground = { pantry: pantryOf(catalogue.ingredients), rules: USUAL_NITRITE };
const recipe: CureRecipe = catalogue.curing.recipes.find(({ id }) => id === 'ham-pumped')!;
const [plan] = catalogue.curing.plans;

const HAM = 'ham' as WeighingId;
const LINE = 'ham.0.0';

const green = { id: HAM, kind: 'green', lineKey: LINE, net: weight(18) } as Weighing;

const cure: Cure = {
  ...{
    id: 'c',
    shareId: 's' as ShareId,
    lineKey: LINE,
    weighingId: HAM,
    mixId: 'm',
    mixLot: 'B1',
    lot: 'C1',
  },
  ...{
    recipe,
    thicknessIn: 5,
    skinOn: false,
    green: weight(18),
    begun: '2026-11-20' as Day,
    place: 'Cooler',
  },
  ...{ at: '' as Instant, actorId: 'a' },
};

const load: SmokeLoad = { id: 'l', lot: 'S1', plan: plan!, at: '' as Instant, actorId: 'a' };

const by = (index: number) => ({ id: String(index), at: String(index) as Instant, actorId: 'a' });

type Try =
  { readonly of: 'cure'; readonly deed: CureDeed } | { readonly of: 'load'; readonly deed: SmokeDeed };

const day = fc.integer({ min: 23, max: 27 }).map((of) => `2026-11-${of}` as Day);
const net = fc.integer({ min: 17_900, max: 20_900 }).map((of) => of as Weight);
const word = fc.constantFrom('held' as const, 'released' as const);

const anyTry: fc.Arbitrary<Try> = fc.oneof(
  fc
    .oneof(
      fc.record({ kind: fc.constantFrom('pumped' as const, 'drained' as const), net }),
      day.map((of): CureDeed => ({ kind: 'out', day: of })),
      word.map((kind): CureDeed => ({ kind, reason: 'warm' })),
    )
    .map((deed): Try => ({ of: 'cure', deed })),
  fc
    .oneof(
      fc.constant<SmokeDeed>({ kind: 'in', weighingId: HAM, trolley: '' }),
      fc.constant<SmokeDeed>({ kind: 'out', weighingId: HAM }),
      fc.constant<SmokeDeed>({ kind: 'lit', channel: 1 }),
      fc.constantFrom<SmokeDeed>(
        { kind: 'ended', posts: [], holds: [] },
        { kind: 'ended', posts: [], holds: ['Missed: under 80 F.'] },
      ),
      word.map((kind): SmokeDeed => ({ kind, reason: 'the door' })),
    )
    .map((deed): Try => ({ of: 'load', deed })),
);

/** Does what may be done, one after the other, and leaves the rest. */
function doAll(tries: readonly Try[]): { cured: CureEvent[]; smoked: SmokeEvent[] } {
  const [cured, smoked]: [CureEvent[], SmokeEvent[]] = [[], []];
  for (const [index, { of, deed }] of tries.entries()) {
    if (of === 'cure') {
      const standing = cureStanding(cure, cured, ground);
      if (whyNotInCure(cure, standing, deed, { unit: 'lb' }) === '') cured.push({ ...deed, ...by(index) });
      continue;
    }
    const waits = cureStanding(cure, cured, ground).out === null ? 'It lies in its cure.' : '';
    const piece = { weighingId: HAM, weight: weight(20), isGround: false, hasNitrite: true, waits };
    const standing = loadStanding(load, smoked);
    if (whyNotLoad(load, standing, deed, { unit: 'lb', piece }) === '')
      smoked.push({ ...deed, ...by(index) });
  }
  return { cured, smoked };
}

describe('what may be packed of a cured line', () => {
  it('is never over a limit, early, held, in the smoke, or out of a load that missed its plan and nobody released', () => {
    let reached = 0;
    fc.assert(
      fc.property(fc.array(anyTry, { minLength: 10, maxLength: 60 }), fc.boolean(), (tries, mixHeld) => {
        const { cured, smoked } = doAll(tries);
        const files = {
          weighings: [green],
          cures: [{ cure, events: cured, mixHeld: mixHeld ? 'too warm' : '' }],
          smokes: [{ load, events: smoked }],
        };
        const { green: through, most, waits } = throughOf(files, LINE, ground);
        expect(through === 0).toBe(waits !== '');
        if (through === 0) return;
        reached += 1;
        const standing = cureStanding(cure, cured, ground);
        expect(standing.verdict).not.toBe('over');
        expect(standing.held).toBe('');
        expect(mixHeld).toBe(false);
        expect(standing.out! >= standing.due).toBe(true);
        expect(most).toBeLessThanOrEqual(Math.ceil((standing.pumped ?? 0) * 1.005));
        const hung = loadStanding(load, smoked);
        if (hung.pieces.length === 0) return;
        expect(hung.ended).not.toBeNull();
        const last = smoked.findLast(({ kind }) => kind === 'held' || kind === 'released')?.kind;
        const missed = smoked.some((event) => event.kind === 'ended' && event.holds.length > 0);
        expect(last).not.toBe('held');
        if (missed) expect(last).toBe('released');
      }),
      { numRuns: 4000, seed: 20261128 },
    );
    // It is no empty word: many do come through.
    expect(reached).toBeGreaterThan(100);
  });

  it('waits for nothing that is not on record, and then gives a tenth more than green at most', () => {
    const nothing = { weighings: [green], cures: [], smokes: [] };
    expect(throughOf(nothing, LINE, ground)).toEqual({ green: 18_000, most: 19_800, waits: '' });
    expect(throughOf(nothing, 'another', ground)).toEqual({ green: 0, most: 0, waits: '' });
  });

  it('goes by the plans that ship: each can be kept, and what is cooked in none of them stays cold', () => {
    for (const each of catalogue.curing.plans) {
      const warm = [0, 60, 120, 180].map((minute) => ({ minute, degrees: 40 + minute }));
      const cold = Array.from({ length: 30 }, (_, at) => ({ minute: 185 + at * 5, degrees: 160 - at * 5 }));
      const { holds } = againstPlan(
        each,
        [...warm, ...cold.map((of) => ({ ...of, degrees: Math.max(38, of.degrees) }))],
        true,
      );
      expect({ plan: each.id, holds }).toEqual({ plan: each.id, holds: [] });
      const chilled = againstPlan(each, [{ minute: 0, degrees: 38 }], true);
      expect(chilled.holds.length > 0).toBe(each.lethal.length > 0);
    }
  });
});
