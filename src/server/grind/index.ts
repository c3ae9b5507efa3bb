import { beginBatch, doBatch, lookSecond, putMeatBack, weighIngredient, weighMeat } from './deeds';
import { grindView } from './grindView';

export type { BatchOfDay, GrindOfDay, GrindView } from './grindView';

export const grind = {
  grindView,
  beginBatch,
  weighMeat,
  putMeatBack,
  weighIngredient,
  lookSecond,
  doBatch,
} as const;
