import { beginBatch } from './begin';
import { doBatch, lookSecond, putMeatBack, weighIngredient, weighMeat } from './deeds';
import { grindView } from './grindView';
import { notePoolWord } from './notePoolWord';
import { tubView } from './tubView';
import { noteWash } from './washing';

export type { BatchOfDay, GrindOfDay, GrindView } from './grindView';

export const grind = {
  grindView,
  tubView,
  beginBatch,
  notePoolWord,
  noteWash,
  weighMeat,
  putMeatBack,
  weighIngredient,
  lookSecond,
  doBatch,
} as const;
