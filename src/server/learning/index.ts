import { learningView } from './learningView';
import { leaveOut } from './leaveOut';

export type { HeldBack, LearningView, LeftOut, ShopFigure } from './learningView';

export const learning = { learningView, leaveOut } as const;
