import type { Database } from '@/data/database';
import { linkByHash, type Link } from '@/data/links';
import { shareAlone } from '@/data/rail';
import type { Actor } from '../house/actor';
import { tokenHash } from '../people/secrets';

/** Somebody who came by a private link: a household, for its own share. */
export type Visitor = { readonly actor: Extract<Actor, { kind: 'household' }>; readonly link: Link };

/** A token as it is made: 32 random bytes. What has another shape is no link and is not looked for. */
const TOKEN = /^[\w-]{43}$/;

/** Who comes by this link; undefined when there is no such link, or it holds no more. */
export async function visitorOf(db: Database, token: string, now: Date): Promise<Visitor | undefined> {
  if (!TOKEN.test(token)) return undefined;
  const link = await linkByHash(db, tokenHash(token));
  if (!link || link.endedAt !== null || link.expiresAt <= now.toISOString()) return undefined;
  const alone = await shareAlone(db, link.shareId);
  if (!alone) return undefined;
  const { owner } = alone.share;
  return { actor: { kind: 'household', id: link.id, name: owner.name, shareId: link.shareId }, link };
}
