import { failure, type Failure } from '../quantity/result';
import { pantryOf } from '../species/recipe';
import type { Ingredient, Species, WrittenRecipe } from '../species/types';
import { takenBy } from './takenBy';

type Refused = Failure<'invalid'>;

/** Where a recipe is written: the species as it is, and what there is to put in. */
export type RecipeGround = { readonly before: Species; readonly ingredients: readonly Ingredient[] };

/** What is wrong with a recipe: an unknown ingredient, meat that is not a hundred pounds, smoke without a cure, too much of it. */
export function recipeProblem(
  recipe: WrittenRecipe,
  { before, ingredients }: RecipeGround,
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
  return nitriteProblem(recipe);
}

/** Nitrite in a curing salt, and the most that may go into ground meat, parts per million (processing figures, cures). */
const NITRITE_SHARE = 0.0625;
const MOST_NITRITE_PPM = 156;

function nitriteProblem({ parts }: WrittenRecipe): Refused | undefined {
  const salt = parts.find(({ ingredient }) => ingredient === 'curing salt')?.lb ?? 0;
  const ppm = Math.round((salt * NITRITE_SHARE * 1e6) / 100);
  if (ppm <= MOST_NITRITE_PPM) return undefined;
  return failure(
    'invalid',
    `${salt} lb of curing salt to 100 lb is ${ppm} ppm of nitrite; ${MOST_NITRITE_PPM} is the most.`,
    'change.recipe.parts',
  );
}
