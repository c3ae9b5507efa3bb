import { readyView } from './readyView';
import { sayOfWeek } from './sayOfWeek';
import { weekJobView, weekView } from './weekView';

export type { WeekAnimal } from './roomOf';
export type { ReadyView } from './readyView';
export type { WeekView } from './weekView';

export const week = { weekView, weekJobView, sayOfWeek, readyView } as const;
