export { callsOfShare, callsOfShares, writeCall } from './calls';
export {
  keepDraft,
  latestVersions,
  reopeningsOfShare,
  sheetsInForce,
  versionsOfShare,
  writeDraft,
  writeReopening,
  writeSheetVersion,
} from './sheets';
export { endTemplateRow, templatesOf, writeTemplate, type SheetTemplate } from './templates';
