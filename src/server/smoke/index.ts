import { beginCure, doCure, weighCure } from './cures';
import { beginLoad, doLoad, noteReading, weighSmoked } from './loads';
import { beginMix, doMix, lookAtMix, weighMix } from './mixes';
import { loadPaperView } from './loadPaperView';
import { smokeView } from './smokeView';

export type { CureAtSmoke, PieceAtSmoke, PieceNext } from './pieces';
export type { LoadAtSmoke, MixAtSmoke, PieceOutline, RecipeAtSmoke, SmokeView } from './smokeView';
export { recordReadings } from './loads';

export const smoke = {
  smokeView,
  loadPaperView,
  beginMix,
  weighMix,
  lookAtMix,
  doMix,
  beginCure,
  weighCure,
  doCure,
  beginLoad,
  doLoad,
  noteReading,
  weighSmoked,
} as const;
