import Joi from 'joi';
import type { Catalogue } from '../catalogue/catalogue';
import { failure, success, type Result } from '../quantity/result';
import { checkShape } from '../shape/checkShape';
import { pantryOf, recipeOf } from '../species/recipe';
import { writtenRecipeSchema } from '../species/recipeSchema';
import { speciesSchema } from '../species/speciesSchema';
import type { Species, WrittenRecipe } from '../species/types';

const FORMAT = 'fractum.species';

/** What a file says of its species: everything but what the house gives or works out itself. */
type WrittenSpecies = Omit<
  Species,
  'items' | 'listed' | 'recipes' | 'words' | 'usual' | 'limits' | 'months'
> & {
  readonly recipes: readonly WrittenRecipe[];
};

type SpeciesFile = {
  readonly format: typeof FORMAT;
  readonly version: 1;
  readonly species: { readonly recipes: readonly WrittenRecipe[] };
};

const fileSchema = Joi.object<SpeciesFile>({
  format: Joi.valid(FORMAT).required(),
  version: Joi.valid(1).required(),
  species: Joi.object({
    recipes: Joi.array()
      .items(writtenRecipeSchema.options({ stripUnknown: true }))
      .min(1)
      .required(),
  })
    .unknown()
    .required(),
});

/** A species as a file: its pieces, decisions, words, recipes and drawing, without the shop's numbers. */
export function writeSpeciesFile(species: Species): string {
  const { items: _i, listed: _l, words: _w, usual: _u, limits: _li, months: _m, ...rest } = species;
  const written: WrittenSpecies = { ...rest, recipes: rest.recipes.map(writtenOf) };
  return `${JSON.stringify({ format: FORMAT, version: 1, species: written }, null, 1)}\n`;
}

/** The recipe without what follows from what is in it. */
function writtenOf({
  seasoned: _s,
  ingredients: _i,
  allergens: _a,
  notFor: _n,
  ...written
}: Species['recipes'][number]) {
  return written satisfies WrittenRecipe;
}

/**
 * Reads a species from a file. Whether its parts fit together is for `speciesProblems`; item numbers are the house's.
 *
 * @returns the species, listed after those that are there; or the field that is wrong
 */
export function readSpeciesFile(
  text: string,
  { species: known, ingredients }: Catalogue,
): Result<Species, 'invalid'> {
  const raw = parsed(text);
  if (!raw.ok) return raw;
  const file = checkShape(fileSchema, raw.value);
  if (!file.ok) return file;
  const { recipes: written, ...rest } = file.value.species;
  const pantry = pantryOf(ingredients);
  const stranger = written
    .flatMap(({ name, parts }) => parts.map(({ ingredient }) => ({ name, ingredient })))
    .find(({ ingredient }) => !pantry.has(ingredient));
  if (stranger) {
    return failure(
      'invalid',
      `${stranger.name} has "${stranger.ingredient}" in it, which is no ingredient of this shop.`,
      'species.recipes',
    );
  }
  const listed = Math.max(0, ...known.map((each) => each.listed)) + 1;
  const recipes = written.map((recipe) => recipeOf(recipe, pantry));
  const whole = checkShape<Species>(speciesSchema, { ...rest, recipes, listed, items: {} });
  return whole.ok ? success(whole.value) : whole;
}

function parsed(text: string): Result<unknown, 'invalid'> {
  try {
    return success(JSON.parse(text));
  } catch (error) {
    return failure('invalid', `That is not JSON: ${(error as Error).message}.`, 'text');
  }
}
