export { healthOf, type Health } from './health';
export {
  blankSheetOf,
  blockPaperOf,
  confirmationOf,
  dividedOver,
  sheetCopyOf,
  sheetsFor,
  cutCardsOf,
  dayBookPdfOf,
  farmSeasonOf,
  loadPaperOf,
  statementOf,
  weekPlanned,
} from './heavy';
export { Printing } from './printing';
export { startWork } from './startWork';
export { SmokeRecording } from './smokeRecording';
