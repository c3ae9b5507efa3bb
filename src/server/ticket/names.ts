import { allUsers } from '@/data/people';
import type { House } from '../house/useCase';

/** Who did something: the name behind an id. Somebody who has left is known by nothing else. */
export type NameOf = (actorId: string | undefined) => string;

export async function namesOf({ db }: House): Promise<NameOf> {
  const names = new Map((await allUsers(db)).map((user) => [user.id, user.name]));
  return (actorId) => (actorId === undefined ? '' : (names.get(actorId) ?? ''));
}
