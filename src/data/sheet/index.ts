export { callsOfShare, writeCall } from './calls';
export { keepDraft, sheetsInForce, writeDraft, writeSheetVersion } from './sheets';
