import { checkCure, isToMeat, type CureRecipe } from '../curing/cureRecipe';
import { failure, type Failure } from '../quantity/result';
import type { SmokePlan } from '../smokehouse/plan';
import { pantryOf } from '../species/recipe';
import type { Trial } from './setUpProblem';

type Refused = Failure<'invalid'>;

/** What is wrong with a cure of the shop's own: an unknown ingredient, a brine that is no hundred pounds, too much nitrite. */
export function cureRecipeProblem(
  recipe: CureRecipe,
  { shipped, before }: Pick<Trial, 'shipped' | 'before'>,
): Refused | undefined {
  const pantry = pantryOf(shipped.ingredients);
  const stranger = recipe.parts.find(({ ingredient }) => !pantry.has(ingredient));
  if (stranger) {
    return failure('invalid', `The pantry has no "${stranger.ingredient}".`, 'change.recipe.parts');
  }
  const sum = recipe.parts.reduce((all, { lb }) => all + lb, 0);
  if (!isToMeat(recipe) && Math.abs(sum - 100) > 0.5) {
    return failure(
      'invalid',
      `A brine must come to 100 lb, its water counted; here it is ${sum.toFixed(2)}.`,
      'change.recipe.parts',
    );
  }
  if (recipe.level && !recipe.brinePerMeat) {
    return failure('invalid', 'Say how much brine comes to a pound of meat.', 'change.recipe.brinePerMeat');
  }
  const [refused] = checkCure(recipe, { pantry, rules: before.rules.nitrite }).refused;
  return refused === undefined ? undefined : failure('invalid', refused, 'change.recipe.parts');
}

/** What is wrong with a plan: a stretch of cooling that warms. */
export function smokePlanProblem({ cooling }: SmokePlan): Refused | undefined {
  const warms = cooling.find(({ from, to }) => to >= from);
  return warms
    ? failure('invalid', `From ${warms.from} F nothing cools to ${warms.to} F.`, 'change.plan.cooling')
    : undefined;
}
