export {
  endLink,
  linkByHash,
  linksOfShare,
  sendsOfShare,
  writeLink,
  writeSend,
  type Link,
  type SheetSend,
} from './links';
