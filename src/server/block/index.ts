import { blockSheetView } from './blockSheetView';
import { startBlock } from './startBlock';

export { freezeOldPlans } from './freezeOldPlans';

export const block = { blockSheetView, startBlock } as const;
