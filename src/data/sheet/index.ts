export { callsOfShare, writeCall } from './calls';
export {
  keepDraft,
  latestVersions,
  sheetsInForce,
  versionsOfShare,
  writeDraft,
  writeSheetVersion,
} from './sheets';
