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

export async function writeUser(db: Database, user: User): Promise<void> {
  await db('users').insert(user);
}

export async function userByName(db: Database, name: string): Promise<User | undefined> {
  return db('users').where({ name }).first();
}

export async function allUsers(db: Database): Promise<Omit<User, 'secret'>[]> {
  return db('users').orderBy('name').select('id', 'name', 'role');
}
