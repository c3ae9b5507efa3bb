import { RateLimiterMemory } from 'rate-limiter-flexible';
import { failure, success, type Result } from '@/core/quantity/result';
import { personById } from '@/data/book';
import type { Database } from '@/data/database';
import { linkByHash, linkById, type Link } from '@/data/links';
import { shareAlone } from '@/data/rail';
import type { Actor } from '../house/actor';
import { isOffice } from '../house/useCase';
import { tokenHash } from '../people/secrets';

/** Somebody who came by a private link: a household, for its own share, or a farmer, for the own farm. */
export type Visitor = {
  readonly actor: Extract<Actor, { kind: 'household' | 'farmer' }>;
  readonly link: Link;
};

/** A token as it is made: 32 random bytes. What has another shape is no link and is not looked for. */
export const TOKEN = /^[\w-]{43}$/;

/** Who comes by this link; undefined when there is no such link, or it holds no more. */
export async function visitorOf(db: Database, token: string, now: Date): Promise<Visitor | undefined> {
  if (!TOKEN.test(token)) return undefined;
  const link = await linkByHash(db, tokenHash(token));
  if (!link || link.endedAt !== null || link.expiresAt <= now.toISOString()) return undefined;
  if (link.farmId !== null) {
    const farm = await personById(db, link.farmId);
    return farm && { actor: { kind: 'farmer', id: link.id, name: farm.name, farmId: link.farmId }, link };
  }
  const alone = await shareAlone(db, link.shareId);
  if (!alone) return undefined;
  const { owner } = alone.share;
  return { actor: { kind: 'household', id: link.id, name: owner.name, shareId: link.shareId }, link };
}

/** Whether somebody is shown what it costs: the office, and whoever's link shows it. */
export async function maySeePrices(db: Database, actor: Actor): Promise<boolean> {
  if (actor.kind !== 'household' && actor.kind !== 'farmer') return isOffice(actor);
  return (await linkById(db, actor.id))?.prices ?? false;
}

const holder = globalThis as { fractumWrongLinks?: RateLimiterMemory };

/** Wrong links that one place may try in a while before it rests; counted once for the whole process. */
function wrongLinks(): RateLimiterMemory {
  holder.fractumWrongLinks ??= new RateLimiterMemory({ points: 20, duration: 15 * 60 });
  return holder.fractumWrongLinks;
}

/** Who comes by a link from a place, or why nobody does: there is none like it, it has ended, or too many were tried. */
export async function admitVisitor(
  db: Database,
  { token, address }: { readonly token: string; readonly address: string },
  now: Date,
): Promise<Result<Visitor, 'locked' | 'not-found'>> {
  const tries = await wrongLinks().get(address);
  if (tries !== null && tries.remainingPoints <= 0) {
    const message = 'Too many links that hold no more were tried from here. Wait a quarter of an hour.';
    return failure('locked', message);
  }
  const visitor = await visitorOf(db, token, now);
  if (visitor) return success(visitor);
  await wrongLinks()
    .consume(address)
    .catch(() => undefined);
  return failure('not-found', 'This link holds no more. Ask the shop for a new one.');
}
