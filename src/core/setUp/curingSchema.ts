import Joi from 'joi';
import type { CureRecipe } from '../curing/cureRecipe';
import { CURE_METHODS } from '../curing/days';
import { CURE_CLASSES } from '../curing/limits';
import type { SmokePlan } from '../smokehouse/plan';
import { recipeParts } from '../species/recipeSchema';
import { id, words } from '../species/schemaParts';

const degrees = Joi.number().integer().min(20).max(400).required();
const minutes = Joi.number().integer().max(5000);

/** The shape of a cure; whether its ingredients are known and its nitrite is allowed is for `cureRecipeProblem`. */
export const cureRecipeSchema = Joi.object<CureRecipe>({
  id: id.required(),
  name: words.max(60).required(),
  for: Joi.array().items(id).unique().min(1).required(),
  of: Joi.valid(...CURE_CLASSES).required(),
  method: Joi.valid(...CURE_METHODS).required(),
  level: Joi.boolean(),
  takesPct: Joi.number().min(0).max(40).required(),
  brinePerMeat: Joi.number().min(0.5).max(5),
  parts: recipeParts.required(),
});

/** The shape of a plan of the smokehouse. */
export const smokePlanSchema = Joi.object<SmokePlan>({
  id: id.required(),
  name: words.max(60).required(),
  lethal: Joi.array()
    .items(Joi.object({ over: degrees, minutes: minutes.min(0).required() }))
    .max(4)
    .required(),
  cooling: Joi.array()
    .items(Joi.object({ from: degrees, to: degrees, minutes: minutes.min(1).required() }))
    .max(4)
    .required(),
  ground: Joi.boolean(),
  curedOnly: Joi.boolean(),
  label: words.max(80).required(),
});
