import { blockSheetView } from './blockSheetView';
import { blockView } from './blockView';
import { doOtherwise } from './doOtherwise';
import { sayWhoDid } from './sayWhoDid';
import { markStep } from './markStep';
import { startBlock } from './startBlock';
import { takePieceBack, weighPiece } from './weighPiece';

export type { BlockView, HandAtBlock, OtherWays, PieceAtBlock, StepAtBlock } from './blockView';
export { freezeOldPlans } from './freezeOldPlans';

export const block = {
  blockSheetView,
  blockView,
  startBlock,
  markStep,
  sayWhoDid,
  weighPiece,
  takePieceBack,
  doOtherwise,
} as const;
