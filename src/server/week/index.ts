import { readyView } from './readyView';
import { sayOfWeek } from './sayOfWeek';
import { weekCalendarView } from './weekCalendarView';
import { weekJobView, weekView } from './weekView';

export type { WeekAnimal } from './roomOf';
export { cutDayOf, householdCalendar, type CalendarFile } from './calendar';
export type { ReadyView } from './readyView';
export type { WeekView } from './weekView';

export const week = { weekView, weekJobView, sayOfWeek, readyView, weekCalendarView } as const;
