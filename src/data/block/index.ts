export { startsOf, startsWithoutPlan, writeBlockStart, writePlan, type Started } from './starts';
