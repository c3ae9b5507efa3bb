import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { failure, success, type Result } from '@/core/quantity/result';
import type { Database } from '@/data/database';
import {
  closeSession,
  failuresSince,
  noteAttempt,
  openSession,
  userByName,
  userOfSession,
  writeAudit,
} from '@/data/repositories/users';
import type { Actor } from './doorway';

const derive = promisify(scrypt) as (secret: string, salt: Buffer, length: number) => Promise<Buffer>;

const HASH_BYTES = 32;
/** After this many wrong secrets in a row a name rests, whoever asks. */
const FAILURES_ALLOWED = 5;
const REST_MINUTES = 15;
const SESSION_HOURS = 12;

/** A secret as it is stored: salt and scrypt hash. */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(16);
  return `scrypt:${salt.toString('base64')}:${(await derive(secret, salt, HASH_BYTES)).toString('base64')}`;
}

async function secretFits(secret: string, stored: string): Promise<boolean> {
  const [, salt, hash] = stored.split(':');
  const given = await derive(secret, Buffer.from(salt!, 'base64'), HASH_BYTES);
  return timingSafeEqual(given, Buffer.from(hash!, 'base64'));
}

/** Compared against when the name is unknown, so that an unknown name takes as long as a wrong secret. */
const NOBODY = `scrypt:${Buffer.alloc(16).toString('base64')}:${Buffer.alloc(HASH_BYTES).toString('base64')}`;

function tokenHash(token: string): string {
  return createHash('sha256').update(token).digest('base64');
}

export type SignedIn = { readonly token: string; readonly actor: Actor; readonly seconds: number };

/**
 * Signs a person in. Five wrong secrets in a row rest the name for a quarter of an hour.
 *
 * @returns a token for the cookie; only its hash is kept
 */
export async function signIn(
  db: Database,
  given: { name: string; secret: string },
  now: Date,
): Promise<Result<SignedIn, 'locked' | 'wrong'>> {
  const since = new Date(now.getTime() - REST_MINUTES * 60_000).toISOString();
  if ((await failuresSince(db, given.name, since)) >= FAILURES_ALLOWED) {
    await auditSignIn(db, given.name, now, 'locked');
    return failure(
      'locked',
      `Too many wrong tries for this name. Wait ${REST_MINUTES} minutes, or ask the owner.`,
    );
  }
  const user = await userByName(db, given.name);
  const fits = await secretFits(given.secret, user?.secret ?? NOBODY);
  await noteAttempt(db, given.name, now.toISOString(), fits && user !== undefined);
  if (!user || !fits) {
    await auditSignIn(db, given.name, now, 'wrong');
    return failure('wrong', 'Name and secret do not fit together. Check both and try again.', 'secret');
  }
  const token = randomBytes(32).toString('base64url');
  const expiresAt = new Date(now.getTime() + SESSION_HOURS * 3_600_000).toISOString();
  await openSession(db, { tokenHash: tokenHash(token), userId: user.id, expiresAt });
  await auditSignIn(db, user.name, now, 'done');
  return success({
    token,
    actor: { id: user.id, name: user.name, role: user.role },
    seconds: SESSION_HOURS * 3600,
  });
}

async function auditSignIn(db: Database, name: string, now: Date, outcome: string): Promise<void> {
  await writeAudit(db, {
    at: now.toISOString(),
    actor: name,
    role: 'none',
    action: 'signIn',
    outcome,
    subject: null,
  });
}

/** Who holds this token; undefined when nobody does any more. */
export async function actorOf(
  db: Database,
  token: string | undefined,
  now: Date,
): Promise<Actor | undefined> {
  if (!token) return undefined;
  const user = await userOfSession(db, tokenHash(token), now.toISOString());
  return user && { id: user.id, name: user.name, role: user.role };
}

export async function signOut(db: Database, token: string): Promise<void> {
  await closeSession(db, tokenHash(token));
}
