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
