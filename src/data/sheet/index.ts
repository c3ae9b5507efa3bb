export { callsOfShare, writeCall } from './calls';
export { keepDraft, sheetsInForce, versionsOfShare, writeDraft, writeSheetVersion } from './sheets';
