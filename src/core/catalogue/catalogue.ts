import type { CureRecipe } from '../curing/cureRecipe';
import type { SmokePlan } from '../smokehouse/plan';
import { pantryOf, recipeOf, type Pantry } from '../species/recipe';
import type { Ingredient, Species } from '../species/types';
import { variantOf, type Variant } from './variant';

/** Everything a shop can cut, as one value with a version; two catalogues may be held side by side. */
export type Catalogue = {
  /** Names the data it was made from: the same data has the same version. */
  readonly version: string;
  /** In the order the shop lists them. */
  readonly species: readonly Species[];
  /** What goes into recipes. */
  readonly ingredients: readonly Ingredient[];
  readonly curing: Curing;
};

/** How pieces are cured, and by which plans they are smoked. */
export type Curing = {
  readonly recipes: readonly CureRecipe[];
  readonly plans: readonly SmokePlan[];
};

/** The data files of a catalogue, parsed but not yet put together. */
export type CatalogueFiles = {
  /** The files of each species, whose fields together are the species. */
  readonly species: readonly (readonly object[])[];
  readonly variants: readonly Variant[];
  readonly ingredients: readonly Ingredient[];
  readonly curing: Curing;
  /** The shop's item numbers by species; a number once given is never given to another thing. */
  readonly items: Readonly<Record<string, Readonly<Record<string, number>>>>;
};

/**
 * Puts a catalogue together. Shapes are checked by `speciesSchema` and `speciesProblems`, in the tests for what ships
 * with the app.
 *
 * @throws RangeError when a variant is made of a species that is not there
 */
export function assembleCatalogue(version: string, files: CatalogueFiles): Catalogue {
  const pantry = pantryOf(files.ingredients);
  const full = files.species
    .map((parts) => withRecipes(Object.assign({}, ...parts) as Species, pantry))
    .sort((a, b) => a.listed - b.listed);
  const variants = files.variants.map((variant) => {
    const base = full.find((species) => species.id === variant.of);
    if (!base) throw new RangeError(`"of" expected a species of the catalogue, got ${variant.of}`);
    return variantOf(base, variant);
  });
  return {
    version,
    ingredients: files.ingredients,
    curing: files.curing,
    species: [...full, ...variants].map((species) => ({ ...species, items: files.items[species.id] ?? {} })),
  };
}

/**
 * The species with this id.
 *
 * @throws RangeError when there is none; ids from outside are checked against the catalogue first
 */
export function speciesIn({ species }: Catalogue, id: string): Species {
  const found = species.find((each) => each.id === id);
  if (found) return found;
  throw new RangeError(`"species" expected one of ${species.map((each) => each.id).join(', ')}, got ${id}`);
}

/** The species with what follows from each of its recipes. */
function withRecipes(species: Species, pantry: Pantry): Species {
  return { ...species, recipes: species.recipes.map((written) => recipeOf(written, pantry)) };
}
