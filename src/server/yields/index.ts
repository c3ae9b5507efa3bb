import { yieldsView } from './yieldsView';

export { completeYields, yieldOf } from './yieldsOfShares';
export type { CutFigures, Stroke, Why, YieldsView } from './yieldsView';

export const yields = { yieldsView } as const;
