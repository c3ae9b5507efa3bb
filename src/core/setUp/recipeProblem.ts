import { limitOf, verdictOf, type NitriteRules } from '../curing/limits';
import { ingoingPpm } from '../curing/nitrite';
import { failure, type Failure } from '../quantity/result';
import { pantryOf, type Pantry } from '../species/recipe';
import type { Ingredient, Species, WrittenRecipe } from '../species/types';
import { takenBy } from './takenBy';

type Refused = Failure<'invalid'>;

/** Where a recipe is written: the species as it is, what there is to put in, and the shop's limits of nitrite. */
export type RecipeGround = {
  readonly before: Species;
  readonly ingredients: readonly Ingredient[];
  readonly nitrite: NitriteRules;
};

/** What is wrong with a recipe: an unknown ingredient, meat that is not a hundred pounds, smoke without a cure, too much of it. */
export function recipeProblem(
  recipe: WrittenRecipe,
  { before, ingredients, nitrite }: RecipeGround,
): Refused | undefined {
  const pantry = pantryOf(ingredients);
  const stranger = recipe.parts.find(({ ingredient }) => !pantry.has(ingredient));
  if (stranger) {
    return failure('invalid', `The pantry has no "${stranger.ingredient}".`, 'change.recipe.parts');
  }
  const meats = recipe.parts.filter(({ ingredient }) => pantry.get(ingredient)!.meat);
  const meat = meats.reduce((sum, { lb }) => sum + lb, 0);
  if (Math.abs(meat - 100) > 0.5) {
    return failure('invalid', `Meat must come to 100 lb; here it is ${meat}.`, 'change.recipe.parts');
  }
  const taken = takenBy(recipe.name, before.recipes.find(({ id }) => id === recipe.id)?.name ?? '', before);
  if (taken)
    return failure('invalid', `${recipe.name} is made already. Take another name.`, 'change.recipe.name');
  const cures = recipe.parts.some(({ ingredient }) => pantry.get(ingredient)!.cures);
  if ((recipe.state === 'smoked' || recipe.state === 'dried') && !cures) {
    return failure(
      'invalid',
      'What is smoked or dried needs a curing salt: warmth without it lets botulism grow.',
      'change.recipe.parts',
    );
  }
  return nitriteProblem(recipe, pantry, nitrite);
}

/** The most nitrite that ground meat may have, by the shop's own limits. */
function nitriteProblem(
  { parts }: WrittenRecipe,
  pantry: Pantry,
  nitrite: NitriteRules,
): Refused | undefined {
  const pure = parts.reduce(
    (sum, { ingredient, lb }) => sum + lb * (pantry.get(ingredient)?.nitriteShare ?? 0),
    0,
  );
  const ppm = ingoingPpm({ cure: pure, nitriteShare: 1 }, 100);
  const limit = limitOf(nitrite, 'ground');
  if (verdictOf(nitrite, ppm, limit) !== 'over') return undefined;
  return failure(
    'invalid',
    `That is ${Math.round(ppm)} ppm of nitrite; ${limit} is the most.`,
    'change.recipe.parts',
  );
}
