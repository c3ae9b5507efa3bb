/** What ground meat is made into: loose, patties, links, a ring, a log that is sliced, sticks, strips. */
export const GRIND_FORMS = ['bulk', 'patties', 'links', 'rings', 'logs', 'sticks', 'strips'] as const;
export type GrindForm = (typeof GRIND_FORMS)[number];

/** Rites that keep an animal's meat apart; the authority's own rules stand above what is refused here. */
export const RITES = ['halal', 'kosher'] as const;
export type Rite = (typeof RITES)[number];

/** What happens to what a recipe makes before it is packed. */
export const RECIPE_STATES = ['raw', 'boiled', 'smoked', 'dried'] as const;
export type RecipeState = (typeof RECIPE_STATES)[number];

/** So much of an ingredient, pounds to a hundred pounds of meat. */
export type RecipePart = { readonly ingredient: string; readonly lb: number };

/** A recipe as it is written down. */
export type WrittenRecipe = {
  readonly id: string;
  readonly name: string;
  /** What people call it besides. */
  readonly askedAs: string;
  /** Separable fat it is best at, percent. */
  readonly fatPct: number;
  readonly forms: readonly GrindForm[];
  readonly state: RecipeState;
  readonly parts: readonly RecipePart[];
  /** Smallest batch, pounds; the species' own when absent. */
  readonly minBatchLb?: number;
};

/** Something that goes into a recipe. */
export type Ingredient = {
  readonly name: string;
  /** What it is made of itself, as its own label says. */
  readonly of?: readonly string[];
  readonly allergens?: readonly string[];
  /** Rites that it offends. */
  readonly notFor?: readonly Rite[];
  /** It is the meat that a batch is counted by. */
  readonly meat?: boolean;
  /** It brings nitrite: what it is in is cured. */
  readonly cures?: boolean;
  /** Sodium nitrite in it, as a share; absent where what it brings is within its own limit already. */
  readonly nitriteShare?: number;
};

/** A recipe with everything that follows from what is in it. */
export type Recipe = WrittenRecipe & {
  /** Whether anything but meat is in it. */
  readonly seasoned: boolean;
  /** In descending order by weight, as the label says it, with a full stop. */
  readonly ingredients: string;
  readonly allergens: readonly string[];
  /** Rites that what is in it offends. */
  readonly notFor?: readonly Rite[];
};
