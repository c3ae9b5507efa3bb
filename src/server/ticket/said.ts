import { FACT_WORDS } from '@/core/order/changes';
import type { ShareFile } from '@/core/order/shareFile';
import { momentWords } from '@/core/time/shopTime';
import { cancellationsOf, correctionsOf } from '@/data/book';
import { poolWordsOf, type SaidHow } from '@/data/grind';
import { callsOfShare, reopeningsOfShare, versionsOfShare } from '@/data/sheet';
import { noteReadsOf } from '@/data/wrap';
import type { House } from '../house/useCase';
import type { NameOf } from './names';

/** Something that was asked, said or put right, in the order in which it happened. */
export type Said = {
  readonly key: string;
  readonly at: string;
  readonly who: string;
  readonly kind: 'sheet' | 'call' | 'correction' | 'read' | 'cancelled';
  readonly words: string;
  readonly why: string;
};

const WRITTEN: Readonly<Record<SaidHow, string>> = {
  paper: 'signed on paper',
  mail: 'by mail',
  text: 'by text message',
};

const REACHED = {
  spoken: 'called',
  message: 'left a message',
  nobody: 'called, no answer',
} as const;

type Moment = Omit<Said, 'at' | 'who'> & { readonly at: string; readonly actorId: string };

/** Versions of the sheet, calls and corrections of a share in one list, the earliest first. */
export async function saidOf(
  { db }: House,
  { share, siblings, shop }: ShareFile,
  nameOf: NameOf,
): Promise<Said[]> {
  const versions = (await versionsOfShare(db, share.id)).map(
    ({ version, approved, overrideReason, at, actorId }): Moment => ({
      key: `version ${version}`,
      kind: 'sheet',
      words: approved ? 'sheet approved' : 'sheet kept',
      why: overrideReason ?? '',
      at,
      actorId,
    }),
  );
  const reopenings = (await reopeningsOfShare(db, share.id)).map(({ id, reason, at, actorId }): Moment => ({
    key: id,
    kind: 'sheet',
    words: 'approved sheet opened again',
    why: reason,
    at,
    actorId,
  }));
  const calls = (await callsOfShare(db, share.id)).map(({ id, reached, said, at, actorId }): Moment => ({
    key: id,
    kind: 'call',
    words: REACHED[reached],
    why: said,
    at,
    actorId,
  }));
  const shareIds = [...new Set([share.id, ...siblings.map((each) => each.id)])];
  const corrections = (await correctionsOf(db, shareIds))
    .filter(({ shareId, field }) => shareId === share.id || ['tag', 'sex', 'killDate'].includes(field))
    .map(({ id, field, was, now, reason, at, actorId }): Moment => ({
      key: id,
      kind: 'correction',
      words: `${FACT_WORDS[field]}: ${was || 'nothing'} became ${now || 'nothing'}`,
      why: reason,
      at,
      actorId,
    }));
  const reads = (await noteReadsOf(db, share.id)).map(({ actorId, at }): Moment => ({
    key: `read ${actorId}`,
    kind: 'read',
    words: 'read the words for the cutter',
    why: '',
    at,
    actorId,
  }));
  const pools = (await poolWordsOf(db, [share.id])).map(({ id, yes, name, how, at, actorId }): Moment => ({
    key: id,
    kind: 'call',
    words: `${yes ? 'yes' : 'no'} to grinding together with others: ${name}, ${WRITTEN[how]}`,
    why: '',
    at,
    actorId,
  }));
  const off = (await cancellationsOf(db, [share.id])).get(share.id);
  const cancelled: Moment[] = off
    ? [
        {
          key: 'off',
          kind: 'cancelled',
          words: 'called off',
          why: off.reason,
          at: off.at,
          actorId: off.actorId,
        },
      ]
    : [];
  return [...versions, ...reopenings, ...calls, ...corrections, ...reads, ...pools, ...cancelled]
    .sort((a, b) => a.at.localeCompare(b.at))
    .map(({ at, actorId, ...moment }) => ({
      ...moment,
      at: momentWords(shop.zone, at),
      who: nameOf(actorId),
    }));
}
