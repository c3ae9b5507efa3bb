export {
  labelBacklog,
  labelJob,
  labelJobsOf,
  labelsWaiting,
  markPrinted,
  nextWaitingJob,
  noteFailure,
  printedOfShare,
  writeLabelJob,
  type LabelJob,
  type WaitingJob,
} from './labels';
export { noteReadsOf, writeNoteRead } from './noteReads';
export {
  isVoided,
  lineNotesOfShares,
  nextSerial,
  voidsOfShare,
  weighingAskedAs,
  weighingById,
  weighingBySerial,
  weighingOfLoad,
  weighingsOfShares,
  writeLineNote,
  writeVoid,
  writeWeighing,
} from './weighings';
