import type { Database } from '../database';

export const ROLES = ['owner', 'counter', 'cutter', 'wrapper', 'smoker'] as const;
export type Role = (typeof ROLES)[number];

export type User = {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Salted hash; the secret itself is never stored. */
  readonly secret: string;
};

/** Whether somebody works here now, rests for a while, or has left. Only who is here can sign in. */
export const USER_STATES = ['here', 'rests', 'left'] as const;
export type UserState = (typeof USER_STATES)[number];

export type StaffMember = Omit<User, 'secret'> & { readonly state: UserState };

export async function writeUser(db: Database, user: User): Promise<void> {
  await db('users').insert(user);
}

/** Somebody who is here, by name. */
export async function userByName(db: Database, name: string): Promise<User | undefined> {
  return db('users').where({ name, state: 'here' }).first('id', 'name', 'role', 'secret');
}

export async function allUsers(db: Database): Promise<Omit<User, 'secret'>[]> {
  return db('users').orderBy('name').select('id', 'name', 'role');
}

/** Everybody who works here or did, by name. */
export async function allStaff(db: Database): Promise<StaffMember[]> {
  return db('users').orderBy('name').select('id', 'name', 'role', 'state');
}

export async function changeUser(
  db: Database,
  id: string,
  change: Partial<Pick<User, 'role' | 'secret'> & { readonly state: UserState }>,
): Promise<void> {
  await db('users').where({ id }).update(change);
}
