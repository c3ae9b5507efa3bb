import { todayView } from './todayView';

export type { TaskShown, Today } from './todayView';

export const today = { todayView } as const;
