import type { CureGround } from '@/core/curing/inCure';
import { pantryOf } from '@/core/species/recipe';
import type { House } from './useCase';

/** What the shop's cures stand on: limits are those of today, whatever held when a piece went in. */
export function cureGround({ catalogue, setUp }: Pick<House, 'catalogue' | 'setUp'>): CureGround {
  return { pantry: pantryOf(catalogue.ingredients), rules: setUp.rules.nitrite };
}
