export {
  endLink,
  linkByHash,
  linkById,
  linksTo,
  lastSends,
  sendsOfShare,
  unansweredSends,
  writeLink,
  writeSend,
  type Link,
  type Opens,
  type SheetSend,
} from './links';
export { countTriedSheets, triedSheetBy, writeTriedSheet, type TriedSheet } from './triedSheets';
