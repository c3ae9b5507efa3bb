import fc from 'fast-check';
import { allSpecies, catalogue } from '../tests/catalogue';
import { FINISHED_SHARE, pantryOf, recipeOf } from './recipe';
import { ingredientSchema } from './recipeSchema';
import type { WrittenRecipe } from './recipeTypes';

const pantry = pantryOf(catalogue.ingredients);
const written = (parts: WrittenRecipe['parts']): WrittenRecipe => ({
  id: 'x',
  name: 'X',
  askedAs: '',
  fatPct: 25,
  forms: ['links'],
  state: 'raw',
  parts,
});

describe('a recipe', () => {
  it('lists what is in it by weight, with what that is made of, and what must be told', () => {
    const made = recipeOf(
      written([
        { ingredient: 'pork', lb: 100 },
        { ingredient: 'salt', lb: 1.7 },
        { ingredient: 'ale', lb: 3 },
        { ingredient: 'mustard seed', lb: 0.4 },
      ]),
      pantry,
    );
    expect(made.ingredients).toBe('Pork, ale (water, barley, wheat, hops, yeast), salt, mustard seed.');
    expect(made.allergens).toEqual(['barley', 'mustard', 'wheat']);
    expect(made.notFor).toEqual(['halal']);
    expect(made.seasoned).toBe(true);
  });

  it('of meat alone is plain', () => {
    expect(recipeOf(written([{ ingredient: 'beef', lb: 100 }]), pantry)).toMatchObject({
      ingredients: 'Beef.',
      allergens: [],
      seasoned: false,
    });
  });

  it('names an ingredient that nobody knows', () => {
    expect(() => recipeOf(written([{ ingredient: 'unicorn', lb: 1 }]), pantry)).toThrow('unicorn');
  });

  it('of any parts lists each once, the heaviest first', () => {
    const parts = fc.uniqueArray(fc.constantFrom(...catalogue.ingredients.map(({ name }) => name)), {
      minLength: 1,
      maxLength: 12,
    });
    fc.assert(
      fc.property(
        parts.chain((names) =>
          fc.tuple(
            ...names.map((ingredient) =>
              fc.record({
                ingredient: fc.constant(ingredient),
                lb: fc.double({ min: 0.01, max: 100, noNaN: true }),
              }),
            ),
          ),
        ),
        (said) => {
          const { ingredients } = recipeOf(written(said), pantry);
          const inOrder = [...said].sort((a, b) => b.lb - a.lb).map(({ ingredient }) => ingredient);
          let from = 0;
          for (const name of inOrder) {
            const at = ingredients.toLowerCase().indexOf(name.toLowerCase(), from);
            expect(at).toBeGreaterThanOrEqual(from);
            from = at + 1;
          }
        },
      ),
    );
  });
});

describe('the book', () => {
  const recipes = allSpecies().flatMap((species) => species.recipes.map((recipe) => ({ species, recipe })));

  it('has sixty flavours and more, found by any letters', () => {
    const names = new Set(recipes.map(({ recipe }) => recipe.name));
    expect(names.size).toBeGreaterThan(60);
  });

  it('counts a hundred pounds of meat in each, salts within the usual, and cures what is smoked', () => {
    for (const { recipe } of recipes) {
      const meat = recipe.parts.filter(({ ingredient }) => pantry.get(ingredient)?.meat);
      expect([recipe.id, meat.reduce((sum, { lb }) => sum + lb, 0)]).toEqual([recipe.id, 100]);
      const salt = recipe.parts.find(({ ingredient }) => ingredient === 'salt')?.lb ?? 0;
      expect(salt).toBeLessThanOrEqual(2.5);
      const cured = recipe.parts.some(({ ingredient }) => pantry.get(ingredient)?.cures);
      if (FINISHED_SHARE[recipe.state] < 1) expect([recipe.id, cured]).toEqual([recipe.id, true]);
      const nitrite =
        ((recipe.parts.find(({ ingredient }) => ingredient === 'curing salt')?.lb ?? 0) * 0.0625 * 1e6) / 100;
      expect(Math.round(nitrite)).toBeLessThanOrEqual(156);
    }
  });

  it('has an item number for every form', () => {
    for (const { species, recipe } of recipes) {
      for (const form of recipe.forms) expect(species.items).toHaveProperty([`grind/${recipe.id}/${form}`]);
    }
  });

  it('knows every ingredient by its shape', () => {
    for (const ingredient of catalogue.ingredients)
      expect(ingredientSchema.validate(ingredient).error).toBeUndefined();
  });
});
