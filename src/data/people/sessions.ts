import type { Database } from '../database';
import type { Role, User } from './users';

export type Session = {
  readonly tokenHash: string;
  /** What a session is called where it is listed; tells nothing of its token. */
  readonly id: string;
  readonly userId: string;
  readonly address: string;
  readonly startedAt: string;
  readonly expiresAt: string;
};

export type ListedSession = Pick<Session, 'id' | 'userId' | 'address' | 'startedAt' | 'expiresAt'> & {
  readonly name: string;
  readonly role: Role;
};

export async function openSession(db: Database, session: Session): Promise<void> {
  await db('sessions').insert(session);
}

/** The user whose session this is; undefined when it has ended or run out. */
export async function userOfSession(db: Database, tokenHash: string, now: string): Promise<User | undefined> {
  return db('sessions')
    .join('users', 'users.id', 'sessions.userId')
    .where('sessions.tokenHash', tokenHash)
    .andWhere('sessions.expiresAt', '>', now)
    .andWhere('users.state', 'here')
    .first('users.id', 'users.name', 'users.role', 'users.secret');
}

export async function closeSession(db: Database, tokenHash: string): Promise<void> {
  await db('sessions').where({ tokenHash }).delete();
}

/** The sessions that are open, the newest first; those of one user, or everybody's. */
export async function openSessions(db: Database, now: string, userId?: string): Promise<ListedSession[]> {
  return db('sessions')
    .join('users', 'users.id', 'sessions.userId')
    .where('expiresAt', '>', now)
    .modify((query) => userId !== undefined && query.where({ userId }))
    .orderBy('startedAt', 'desc')
    .select('sessions.id', 'userId', 'address', 'startedAt', 'expiresAt', 'users.name', 'users.role');
}

export async function sessionById(db: Database, id: string): Promise<Pick<Session, 'userId'> | undefined> {
  return db('sessions').where({ id }).first('userId');
}

export async function endSession(db: Database, id: string): Promise<void> {
  await db('sessions').where({ id }).delete();
}

/** Removes sessions that have run out. @returns how many */
export async function purgeSessions(db: Database, now: string): Promise<number> {
  return db('sessions').where('expiresAt', '<=', now).delete();
}

/** Signs somebody out everywhere. */
export async function endSessionsOf(db: Database, userId: string): Promise<void> {
  await db('sessions').where({ userId }).delete();
}
