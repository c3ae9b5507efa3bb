import Joi from 'joi';
import { GRIND_FORMS, RECIPE_STATES, RITES, type Ingredient, type WrittenRecipe } from './recipeTypes';
import { id, percent, pounds, words } from './schemaParts';

/** More ingredients than a label has room for. */
const MOST_PARTS = 25;

/** Pounds of each ingredient to a hundred. */
export const recipeParts = Joi.array()
  .items(
    Joi.object({ ingredient: words.max(60).required(), lb: Joi.number().greater(0).max(100).required() }),
  )
  .unique('ingredient')
  .min(1)
  .max(MOST_PARTS);

/** The fields of a recipe as it is written; whether its ingredients are known is for `recipeProblem`. */
export const writtenRecipeFields = {
  id: id.required(),
  name: words.max(60).required(),
  askedAs: Joi.string().trim().max(120).allow('').required(),
  fatPct: percent.required(),
  forms: Joi.array()
    .items(Joi.valid(...GRIND_FORMS))
    .unique()
    .min(1)
    .required(),
  state: Joi.valid(...RECIPE_STATES).required(),
  parts: recipeParts.required(),
  minBatchLb: pounds,
};

export const writtenRecipeSchema = Joi.object<WrittenRecipe>(writtenRecipeFields);

export const ingredientSchema = Joi.object<Ingredient>({
  name: words.max(60).required(),
  of: Joi.array().items(words).min(1),
  allergens: Joi.array().items(words).min(1),
  notFor: Joi.array()
    .items(Joi.valid(...RITES))
    .min(1),
  meat: Joi.boolean(),
  cures: Joi.boolean(),
  nitriteShare: Joi.number().greater(0).max(1),
});
