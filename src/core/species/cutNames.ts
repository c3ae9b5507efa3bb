import type { Species } from './types';

/** Something a customer can have, by its own name, and where on the sheet it is chosen. */
export type NamedCut = {
  readonly cut: string;
  /** A decision, `grind`, or `extras` for what is kept besides. */
  readonly decision: string;
  /** An option of the decision, a recipe, or what is kept. */
  readonly option: string;
};

/** What can be had of a species, by its own names: cuts, what is ground, what is kept besides. */
export function cutNames({
  decisions,
  recipes,
  poolKeeps,
}: Pick<Species, 'decisions' | 'recipes' | 'poolKeeps'>): NamedCut[] {
  const cuts = decisions.flatMap((decision) =>
    decision.options.flatMap((option) =>
      option.products.flatMap((product) =>
        [product.cut, ...(product.cure ? [product.cure.cut] : [])].map((cut) => ({
          cut,
          decision: decision.id,
          option: option.id,
        })),
      ),
    ),
  );
  const ground = recipes.map(({ id, name }) => ({ cut: name, decision: 'grind', option: id }));
  const kept = poolKeeps.map(({ id, cut }) => ({ cut, decision: 'extras', option: id }));
  return [...cuts, ...ground, ...kept];
}
