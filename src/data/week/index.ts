export { weekEvents, writeWeekEvent } from './events';
