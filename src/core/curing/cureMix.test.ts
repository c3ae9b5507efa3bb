import fc from 'fast-check';
import { weight, type Weight } from '../quantity/weight';
import { pantryOf } from '../species/recipe';
import { catalogue } from '../tests/catalogue';
import { duesOfMix, mixStanding, recipeAsMixed, whyNotMix, type CureMixDeed } from './cureMix';
import { checkCure, ppmOf, type CureRecipe } from './cureRecipe';
import { gramsWords, isPart, ONE_POUR } from './ingredients';
import { limitOf, USUAL_NITRITE, verdictOf } from './limits';

const pantry = pantryOf(catalogue.ingredients);
const ground = { unit: 'lb' as const, pantry, nitrite: USUAL_NITRITE };
const recipe = (id: string) => catalogue.curing.recipes.find((each) => each.id === id)!;

const put = (ingredient: string, tenths: number, change: object = {}): CureMixDeed => ({
  kind: 'ingredient',
  ingredient,
  tenths,
  ...{ lot: '', scaleId: 's', loadId: '1', origin: 'scale', otherwise: '', remark: '' },
  ...change,
});

type By = CureMixDeed & { readonly actorId: string };

describe('the cures that ship', () => {
  it.each(catalogue.curing.recipes.map((each) => [each.id, each] as const))(
    '%s is within the limit of its class, its brine is a hundred, and the pantry knows it',
    (_, each) => {
      expect(checkCure(each, { pantry, rules: USUAL_NITRITE }).refused).toEqual([]);
      expect(each.parts.every(({ ingredient }) => pantry.has(ingredient))).toBe(true);
      const sum = each.parts.reduce((all, { lb }) => all + lb, 0);
      if (each.method !== 'dry' && each.method !== 'overnight') expect(sum).toBeCloseTo(100, 3);
    },
  );
});

describe('a brine or a rub on the scale', () => {
  it('is due to the gram: 1 oz of curing salt to 25 lb is 156 ppm, and 20 lb of ham brine ask 214.1 g', () => {
    const rub = { recipe: recipe('bacon-dry'), makes: weight(25), skinOn: false };
    const salt = duesOfMix(rub, ground).find(({ cures }) => cures)!;
    expect(gramsWords(salt.due)).toBe('28.3 g');
    expect(salt.due * salt.ppmEach).toBeCloseTo(156, 0);
    const brine = { recipe: recipe('ham-pumped'), makes: weight(20), skinOn: false };
    const dues = duesOfMix(brine, ground);
    expect(gramsWords(dues.find(({ cures }) => cures)!.due)).toBe('214.1 g');
    // More than a scale carries comes in several pours.
    expect(dues[0]!.due).toBeGreaterThan(ONE_POUR);
    const once: By[] = [{ ...put('water', 60_000, { part: true }), actorId: 'a' }];
    const [water] = mixStanding(brine, once, ground).ingredients;
    expect(water).toMatchObject({ weighed: null, poured: 60_000 });
    expect(isPart(water!, 1000)).toBe(true);
    const all: By[] = [...once, { ...put('water', water!.due - 60_000), actorId: 'a' }];
    expect(mixStanding(brine, all, ground).ingredients[0]!.weighed).toBe(water!.due);
    const out: By[] = [...once, { kind: 'again', ingredient: 'water', actorId: 'a' }];
    expect(mixStanding(brine, out, ground).ingredients[0]).toMatchObject({ weighed: null, poured: 0 });
  });

  it('never brings more than the limit of its class, whatever is poured in whatever order, and counts as it was weighed', () => {
    const any = fc.constantFrom(...catalogue.curing.recipes);
    const pours = fc.array(
      fc.record({ at: fc.nat(6), tenths: fc.nat(90_000), kind: fc.constantFrom('put', 'again', 'second') }),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(
        any,
        fc.integer({ min: 1000, max: 60_000 }),
        fc.boolean(),
        pours,
        (of, makes, skinOn, tries) => {
          const mix = { recipe: of, makes: makes as Weight, skinOn };
          const events: By[] = [];
          for (const { at, tenths, kind } of tries) {
            const { ingredient } = of.parts[at % of.parts.length]!;
            const standing = mixStanding(mix, events, ground);
            const due = standing.ingredients.find(({ name }) => name === ingredient)!;
            const part = isPart(due, tenths) ? { part: true } : {};
            const deed: CureMixDeed =
              kind === 'put'
                ? put(ingredient, tenths, part)
                : { kind: kind as 'again' | 'second', ingredient };
            if (whyNotMix(standing, deed, 'b') === '') events.push({ ...deed, actorId: 'a' });
          }
          const standing = mixStanding(mix, events, ground);
          const limit = limitOf(USUAL_NITRITE, of.of, skinOn);
          expect(verdictOf(USUAL_NITRITE, standing.ppm, limit)).not.toBe('over');
        },
      ),
      { numRuns: 300, seed: 20261128 },
    );
  });

  it('counts by what was really weighed: a little more salt is a little more nitrite', () => {
    const mix = { recipe: recipe('ham-pumped'), makes: weight(10), skinOn: false };
    const dues = duesOfMix(mix, ground);
    const exact: By[] = dues.map(({ name, due }) => ({ ...put(name, due), actorId: 'a' }));
    const asWritten = recipeAsMixed(mix.recipe, mixStanding(mix, exact, ground));
    expect(ppmOf(asWritten, pantry)).toBeCloseTo(ppmOf(mix.recipe, pantry), 0);
    const more = exact.map((deed) =>
      'ingredient' in deed && deed.ingredient === 'curing salt' && deed.kind === 'ingredient'
        ? { ...deed, tenths: deed.tenths + 20 }
        : deed,
    );
    const asPoured: CureRecipe = recipeAsMixed(mix.recipe, mixStanding(mix, more, ground));
    expect(ppmOf(asPoured, pantry)).toBeGreaterThan(ppmOf(asWritten, pantry));
  });
});
