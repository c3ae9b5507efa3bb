import type { Database } from '../database';

export type Role = 'owner' | 'counter' | 'cutter' | 'wrapper' | 'smoker';

export type User = {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Salted hash; the secret itself is never stored. */
  readonly secret: string;
};

export async function writeUser(db: Database, user: User): Promise<void> {
  await db('users').insert(user);
}

export async function userByName(db: Database, name: string): Promise<User | undefined> {
  return db('users').where({ name }).first();
}

/** Keeps a try to sign in. A success ends the row of failures before it. */
export async function noteAttempt(db: Database, name: string, at: string, succeeded: boolean): Promise<void> {
  await db('signInAttempts').insert({ name, at, succeeded });
}

/** Failures under a name since an instant and since its last success. */
export async function failuresSince(db: Database, name: string, since: string): Promise<number> {
  const success = await db('signInAttempts').where({ name, succeeded: true }).max('id as last').first();
  const row = await db('signInAttempts')
    .where({ name, succeeded: false })
    .andWhere('at', '>=', since)
    .andWhere('id', '>', success?.last ?? 0)
    .count({ failures: '*' })
    .first();
  return Number(row?.failures ?? 0);
}

export type Session = { readonly tokenHash: string; readonly userId: string; readonly expiresAt: string };

export async function openSession(db: Database, session: Session): Promise<void> {
  await db('sessions').insert(session);
}

/** The user whose session this is; undefined when it has ended or run out. */
export async function userOfSession(db: Database, tokenHash: string, now: string): Promise<User | undefined> {
  return db('sessions')
    .join('users', 'users.id', 'sessions.userId')
    .where('sessions.tokenHash', tokenHash)
    .andWhere('sessions.expiresAt', '>', now)
    .first('users.*');
}

export async function closeSession(db: Database, tokenHash: string): Promise<void> {
  await db('sessions').where({ tokenHash }).delete();
}

export type AuditLine = {
  readonly at: string;
  readonly actor: string;
  readonly role: string;
  readonly action: string;
  readonly outcome: string;
  readonly subject: string | null;
};

export async function writeAudit(db: Database, line: AuditLine): Promise<void> {
  await db('audit').insert(line);
}
