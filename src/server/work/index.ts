export { healthOf, type Health } from './health';
export { blankSheetOf, confirmationOf, statementOf } from './heavy';
export { Printing } from './printing';
export { startWork } from './startWork';
