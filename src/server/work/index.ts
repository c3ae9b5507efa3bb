export { healthOf, type Health } from './health';
export { statementOf } from './heavy';
export { Printing } from './printing';
export { startWork } from './startWork';
