export {
  endLink,
  linkByHash,
  linksOfShare,
  sendsOfShare,
  unansweredSends,
  writeLink,
  writeSend,
  type Link,
  type SheetSend,
} from './links';
export { countTriedSheets, triedSheetBy, writeTriedSheet, type TriedSheet } from './triedSheets';
