import { beginBatch, doBatch, lookSecond, putMeatBack, weighIngredient, weighMeat } from './deeds';
import { grindView } from './grindView';
import { tubView } from './tubView';
import { noteWash } from './washing';

export type { BatchOfDay, GrindOfDay, GrindView } from './grindView';

export const grind = {
  grindView,
  tubView,
  beginBatch,
  noteWash,
  weighMeat,
  putMeatBack,
  weighIngredient,
  lookSecond,
  doBatch,
} as const;
