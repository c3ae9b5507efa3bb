import { beginBatch, doBatch, lookSecond, putMeatBack, weighIngredient, weighMeat } from './deeds';
import { grindView } from './grindView';
import { noteWash } from './washing';

export type { BatchOfDay, GrindOfDay, GrindView } from './grindView';

export const grind = {
  grindView,
  beginBatch,
  noteWash,
  weighMeat,
  putMeatBack,
  weighIngredient,
  lookSecond,
  doBatch,
} as const;
