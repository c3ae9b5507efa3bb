import type { Curing } from '../catalogue/catalogue';
import type { SetUp } from './types';

/** Cures and plans as a shop has them: its own in place of what ships under their names, and behind it. */
export function shopCuring(shipped: Curing, { cureRecipes, smokePlans }: SetUp): Curing {
  return { recipes: over(shipped.recipes, cureRecipes), plans: over(shipped.plans, smokePlans) };
}

function over<T extends { readonly id: string }>(shipped: readonly T[], own: readonly T[]): T[] {
  const byId = new Map([...shipped, ...own].map((each) => [each.id, each]));
  return [...byId.values()];
}
