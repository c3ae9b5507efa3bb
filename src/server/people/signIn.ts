import { randomBytes, randomUUID } from 'node:crypto';
import { failure, success, type Result } from '@/core/quantity/result';
import type { Database } from '@/data/database';
import {
  closeSession,
  forgetAttempts,
  noteAttempt,
  openSession,
  triesSince,
  userByName,
  userOfSession,
  writeAudit,
} from '@/data/people';
import type { Staff } from '../house/actor';
import { log } from '../house/log';
import { NOBODY, secretFits, tokenHash } from './secrets';

/**
 * How many wrong tries rest a sign-in for a while: of one name from one place, so that nobody locks out somebody who
 * is elsewhere; of one place under any names; and of one name from everywhere.
 */
const TRIES_ALLOWED = { here: 5, address: 20, name: 50 } as const;
const REST_MINUTES = 15;
const SESSION_HOURS = 12;

export type Credentials = { readonly name: string; readonly secret: string; readonly address: string };
export type SignedIn = { readonly token: string; readonly actor: Staff; readonly seconds: number };

/**
 * Who it is, by name and secret. A try is counted before it is decided, in one transaction with the count, so that many
 * at once are no way past the limit.
 */
export async function proved(
  db: Database,
  { name, secret, address }: Credentials,
  now: Date,
): Promise<Result<Staff, 'locked' | 'wrong'>> {
  if (!(await mayTry(db, { name, address }, now))) {
    log().warn({ action: 'signIn', outcome: 'locked', name, address }, 'refused');
    const message = `Too many wrong tries. Wait ${REST_MINUTES} minutes, or ask the owner to unlock the name.`;
    return failure('locked', message);
  }
  const user = await userByName(db, name);
  const fits = await secretFits(secret, user?.secret ?? NOBODY);
  if (!user || !fits) {
    log().warn({ action: 'signIn', outcome: 'wrong', name, address }, 'refused');
    return failure('wrong', 'Name and secret do not fit together. Check both and try again.', 'secret');
  }
  await forgetAttempts(db, name, address);
  return success({ kind: 'staff', id: user.id, name: user.name, role: user.role });
}

/**
 * Signs a person in.
 *
 * @returns a token for the cookie; only its hash is kept
 */
export async function signIn(
  db: Database,
  credentials: Credentials,
  now: Date,
): Promise<Result<SignedIn, 'locked' | 'wrong'>> {
  const who = await proved(db, credentials, now);
  if (!who.ok) return who;
  const actor = who.value;
  const token = randomBytes(32).toString('base64url');
  const at = now.toISOString();
  await db.transaction(async (trx) => {
    const expiresAt = new Date(now.getTime() + SESSION_HOURS * 3_600_000).toISOString();
    const session = {
      tokenHash: tokenHash(token),
      id: randomUUID(),
      userId: actor.id,
      address: credentials.address,
    };
    await openSession(trx, { ...session, startedAt: at, expiresAt });
    const line = { actor: actor.id, role: actor.role, action: 'signIn', outcome: 'done', subject: null };
    await writeAudit(trx, { at, ...line });
  });
  return success({ token, actor, seconds: SESSION_HOURS * 3600 });
}

async function mayTry(db: Database, who: { name: string; address: string }, now: Date): Promise<boolean> {
  const attempt = { ...who, at: now.toISOString() };
  const since = new Date(now.getTime() - REST_MINUTES * 60_000).toISOString();
  return db.transaction(async (trx) => {
    const tries = await triesSince(trx, attempt, since);
    const free = (['here', 'address', 'name'] as const).every((kind) => tries[kind] < TRIES_ALLOWED[kind]);
    if (free) await noteAttempt(trx, attempt);
    return free;
  });
}

/** Who holds this token; undefined when nobody does any more. */
export async function actorOf(
  db: Database,
  token: string | undefined,
  now: Date,
): Promise<Staff | undefined> {
  if (!token) return undefined;
  const user = await userOfSession(db, tokenHash(token), now.toISOString());
  return user && { kind: 'staff', id: user.id, name: user.name, role: user.role };
}

export async function signOut(db: Database, token: string): Promise<void> {
  await closeSession(db, tokenHash(token));
}
