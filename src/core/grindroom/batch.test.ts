import fc from 'fast-check';
import { gramsWords, weightOfTenths } from '../curing/ingredients';
import { USUAL_NITRITE, verdictOf } from '../curing/limits';
import { weight, type Weight, type WeighingUnit } from '../quantity/weight';
import { pantryOf } from '../species/recipe';
import type { Recipe } from '../species/recipeTypes';
import { allSpecies, catalogue } from '../tests/catalogue';
import { duesOf, standingOf, type BatchDeed, type BatchEvent, type BatchGround } from './batch';
import { missingFrom, whyNot } from './batchRules';

const pantry = pantryOf(catalogue.ingredients);

const RECIPES = allSpecies().flatMap(({ recipes }) => recipes);
const recipeNamed = (id: string) => RECIPES.find((each) => each.id === id)!;

const ground = (unit: WeighingUnit = 'lb', packed = 0): BatchGround => ({
  unit,
  pantry,
  nitrite: USUAL_NITRITE,
  packed: packed as Weight,
});

const done = (deeds: readonly BatchDeed[], by = 'aslak'): BatchEvent[] =>
  deeds.map((deed, at) => ({
    ...deed,
    id: String(at),
    batchId: 'b',
    at: '' as BatchEvent['at'],
    actorId: by,
  }));

const meat = (lb: number): BatchDeed => ({
  kind: 'meat',
  net: weight(lb),
  scaleId: 'bench-1',
  loadId: '1',
  origin: 'scale',
});

const put = (ingredient: string, tenths: number, change: object = {}): BatchDeed => ({
  kind: 'ingredient',
  ingredient,
  tenths,
  lot: '',
  scaleId: 'spice-1',
  loadId: '2',
  origin: 'scale',
  otherwise: '',
  remark: '',
  ...change,
});

const by = (actorId: string) => ({ actorId, unit: 'lb' as const });

/** Does what may be done, one after the other, and leaves the rest. */
function doAll(recipe: Recipe, deeds: readonly (readonly [string, BatchDeed])[]): BatchEvent[] {
  const events: BatchEvent[] = [];
  for (const [actorId, deed] of deeds) {
    const standing = standingOf({ recipe }, events, ground());
    if (whyNot(standing, deed, by(actorId)) !== '') continue;
    events.push({ ...deed, id: String(events.length), batchId: 'b', at: '' as BatchEvent['at'], actorId });
  }
  return events;
}

const smoked = recipeNamed('sugar-smoked');

describe('what is due in a batch', () => {
  it('is the recipe to the gram: 25.14 lb ask 28.5 g of curing salt, and 156 ppm let in no more', () => {
    const dues = duesOf(smoked, weight(25.14), ground());
    expect(dues.map(({ name }) => name)).toEqual(smoked.parts.slice(1).map((part) => part.ingredient));
    const salt = dues.find(({ name }) => name === 'curing salt')!;
    expect(gramsWords(salt.due)).toBe('28.5 g');
    const { ppm, ppmLimit } = standingOf(
      { recipe: smoked },
      done([meat(25.14), put('curing salt', salt.most!)]),
      ground(),
    );
    expect(verdictOf(USUAL_NITRITE, ppm!, ppmLimit)).toBe('good');
    const { ppm: over } = standingOf(
      { recipe: smoked },
      done([meat(25.14), put('curing salt', salt.most! + 1)]),
      ground(),
    );
    expect(verdictOf(USUAL_NITRITE, over!, ppmLimit)).toBe('over');
  });

  it('counts meat of another kind to the block: 20 lb of pork fat to 80 of beef', () => {
    const dues = duesOf(recipeNamed('beef-pork-log'), weight(80), ground());
    const fat = dues.find(({ name }) => name === 'pork fat')!;
    expect(weightOfTenths(fat.due, 'lb')).toBe(weight(20));
    const salt = dues.find(({ name }) => name === 'salt')!;
    expect(weightOfTenths(salt.due, 'lb')).toBe(weight(2.2));
  });

  it('is within the limit in every recipe of every species, in pounds and kilograms', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RECIPES),
        fc.integer({ min: 500, max: 120_000 }),
        fc.constantFrom('lb' as const, 'kg' as const),
        (recipe, net, unit) => {
          for (const { due, low, high, most } of duesOf(recipe, net as Weight, ground(unit))) {
            expect(low).toBeLessThanOrEqual(high);
            if (most === null) expect(due >= low && due <= high).toBe(true);
            else expect(high).toBeLessThanOrEqual(most);
          }
        },
      ),
      { numRuns: 500, seed: 20261127 },
    );
  });
});

describe('a batch', () => {
  it('refuses what is too much, too little, over the limit, typed, or seen by one person only', () => {
    const standing = standingOf({ recipe: smoked }, done([meat(25)]), ground());
    const say = (deed: BatchDeed, actor = 'aslak') => whyNot(standing, deed, by(actor));
    const salt = standing.ingredients.find(({ name }) => name === 'salt')!;
    expect(say(put('salt', salt.due))).toBe('');
    expect(say(put('salt', salt.high + 9))).toMatch(/^Take out 0\.9 g or more/);
    expect(say(put('salt', salt.low - 9))).toMatch(/^Put in 0\.9 g or more/);
    expect(say(put('salt', salt.high + 9, { otherwise: 'saltier, they asked' }))).toBe('');
    const twice = standingOf(
      { recipe: smoked },
      done([meat(25), put('salt', 100), put('water', 9)]),
      ground(),
    );
    expect(twice.ingredients.flatMap(({ name, turn }) => (turn >= 0 ? [[name, turn]] : []))).toEqual([
      ['water', 2],
      ['salt', 1],
    ]);
    const pink = standing.ingredients.find(({ name }) => name === 'curing salt')!;
    expect(say(put('curing salt', pink.most! + 1, { otherwise: 'sure' }))).toMatch(
      /^Over the limit of its class/,
    );
    expect(say(put('curing salt', pink.due, { origin: 'typed', remark: 'scale away' }))).toMatch(
      /never typed/,
    );
    expect(say(put('curing salt', pink.low - 1, { otherwise: 'sure' }))).toMatch(/^Put in/);
    expect(say(put('salt', salt.high + 9, { origin: 'typed', remark: 'scale away' }))).toMatch(/^Take out/);
    expect(pink.ppmEach * pink.most!).toBeGreaterThan(155);
    expect(say(put('nutmeg', 10))).toBe('nutmeg is not in this recipe.');
    const weighed = standingOf({ recipe: smoked }, done([meat(25), put('curing salt', pink.due)]), ground());
    const second: BatchDeed = { kind: 'second', ingredient: 'curing salt' };
    expect(whyNot(weighed, second, by('aslak'))).toMatch(/Ask somebody else/);
    expect(whyNot(weighed, second, by('sunna'))).toBe('');
    expect(whyNot(weighed, meat(5), by('aslak'))).toMatch(/Take them out first/);
    expect(whyNot(standingOf({ recipe: smoked }, [], ground()), put('salt', 10), by('a'))).toMatch(
      /meat in first/,
    );
  });

  it('closes when what went in is in packs, and says what is missing', () => {
    const standing = standingOf({ recipe: smoked }, done([meat(25)]), ground());
    const all = standing.ingredients.map(({ name, due, most }) => put(name, Math.min(due, most ?? due)));
    const mixedAs = (packed: number, more: readonly BatchDeed[] = []) => {
      const events = [
        ...done([meat(25), ...all]),
        ...done([{ kind: 'second', ingredient: 'curing salt' }], 'sunna'),
      ];
      const { added } = standingOf({ recipe: smoked }, events, ground());
      return standingOf(
        { recipe: smoked },
        [...events, ...done([{ kind: 'mixed', added }, ...more])],
        ground('lb', packed),
      );
    };
    const { mix } = mixedAs(0);
    expect(mix).toBeGreaterThan(weight(25 * 1.09));
    expect(missingFrom(mixedAs(0), 'lb')).toEqual([
      'Nothing of it is packed yet.',
      'The head is not opened: what is in it is of this batch.',
    ]);
    expect(missingFrom(mixedAs(mix - 1000, [{ kind: 'head' }]), 'lb')).toEqual([
      '1.00 lb are in no pack. Count again.',
    ]);
    expect(missingFrom(mixedAs(mix + 50, [{ kind: 'head' }]), 'lb')[0]).toMatch(/^0\.05 lb more are packed/);
    const good = mixedAs(mix - 140, [{ kind: 'head' }]);
    expect(missingFrom(good, 'lb')).toEqual([]);
    expect(whyNot(good, { kind: 'closed', film: 140 as Weight }, by('aslak'))).toBe('');
  });

  it('that is held stands still until it is released', () => {
    const held = standingOf(
      { recipe: smoked },
      done([meat(25), { kind: 'held', reason: 'too warm' }]),
      ground(),
    );
    expect(whyNot(held, put('salt', 100), by('aslak'))).toMatch(/held: too warm/);
    expect(whyNot(held, { kind: 'released', reason: 'it was the probe' }, by('maren'))).toBe('');
  });

  it('whatever is tried in whatever order, nitrite stays within its limit and is seen by two', () => {
    const names = smoked.parts.slice(1).map((part) => part.ingredient);
    const anyDeed: fc.Arbitrary<BatchDeed> = fc.oneof(
      fc.integer({ min: 1, max: 30 }).map(meat),
      fc
        .tuple(
          fc.constantFrom(...names),
          fc.integer({ min: 1, max: 9000 }),
          fc.constantFrom('', 'so they asked'),
        )
        .map(([name, tenths, remark]) => put(name, tenths, { otherwise: remark })),
      fc.constantFrom(...names).map((ingredient) => ({ kind: 'again' as const, ingredient })),
      fc.constantFrom(...names).map((ingredient) => ({ kind: 'second' as const, ingredient })),
      fc.constant({ kind: 'mixed' as const, added: 1000 as Weight }),
    );
    const tries = fc.array(fc.tuple(fc.constantFrom('aslak', 'sunna'), anyDeed), { maxLength: 60 });
    fc.assert(
      fc.property(tries, (all) => {
        const standing = standingOf({ recipe: smoked }, doAll(smoked, all), ground());
        expect(verdictOf(USUAL_NITRITE, standing.ppm ?? 0, standing.ppmLimit)).not.toBe('over');
        for (const { cures, second, by: who } of standing.ingredients) {
          if (cures && second !== '') expect(second).not.toBe(who);
          if (cures && standing.isMixed) expect(second).not.toBe('');
        }
      }),
      { numRuns: 300, seed: 20261127 },
    );
  });
});
