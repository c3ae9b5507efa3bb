import { startBlock } from './startBlock';

export { freezeOldPlans } from './freezeOldPlans';

export const block = { startBlock } as const;
