import { linksTo } from '@/data/links';
import { allUsers } from '@/data/people';
import type { ShareFile } from '@/core/order/shareFile';
import type { House } from '../house/useCase';

/** Who did something: the name behind an id. Somebody who has left is known by nothing else. */
export type NameOf = (actorId: string | undefined) => string;

/** The names of all who can have worked on a share: staff, and who came by a link to it or to its farm. */
export async function namesOf(
  { db }: House,
  { share, siblings, animal: { farm } }: Pick<ShareFile, 'share' | 'siblings' | 'animal'>,
): Promise<NameOf> {
  const all = [share, ...siblings];
  const links = await linksTo(db, { shareIds: all.map(({ id }) => id), farmId: farm.id });
  const names = new Map([
    ...(await allUsers(db)).map((user) => [user.id, user.name] as const),
    ...links.map(({ id, shareId }) => {
      const owner = all.find((each) => each.id === shareId)?.owner;
      return [id, (owner ?? farm).name] as const;
    }),
  ]);
  return (actorId) => (actorId === undefined ? '' : (names.get(actorId) ?? ''));
}
