import type { Database } from '../database';

/** A try to sign in that has not succeeded: wrong, or not decided yet. */
export type Attempt = { readonly name: string; readonly address: string; readonly at: string };

/** Tries since an instant, of a name from an address, of the name from anywhere, and of the address under any name. */
export type Tries = { readonly here: number; readonly name: number; readonly address: number };

/** Notes a try before it is decided, so that tries at the same time count each other. @returns its id */
export async function noteAttempt(db: Database, attempt: Attempt): Promise<number> {
  const [id] = await db('signInAttempts').insert(attempt);
  return id!;
}

export async function triesSince(db: Database, { name, address }: Attempt, since: string): Promise<Tries> {
  const recent = () => db('signInAttempts').where('at', '>=', since);
  const count = async (query: ReturnType<typeof recent>) => Number((await query.count({ all: '*' }))[0]!.all);
  return {
    here: await count(recent().where({ name, address })),
    name: await count(recent().where({ name })),
    address: await count(recent().where({ address })),
  };
}

/** A name that was got right, or unlocked by the owner, starts anew: here, or from everywhere. */
export async function forgetAttempts(db: Database, name: string, address?: string): Promise<void> {
  await db('signInAttempts')
    .where(address === undefined ? { name } : { name, address })
    .delete();
}

/** Removes tries from before an instant. @returns how many */
export async function purgeAttempts(db: Database, before: string): Promise<number> {
  return db('signInAttempts').where('at', '<', before).delete();
}
