import Joi from 'joi';
import type { PersonId, ShareId } from '@/core/order/animal';
import { animalWords, partWords } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { success, type Result } from '@/core/quantity/result';
import { instant, momentWords } from '@/core/time/shopTime';
import { personById, writeMessages } from '@/data/book';
import {
  endLink as writeEnd,
  linkByHash,
  linkById,
  linksTo,
  sendsOfShare,
  writeLink,
  writeSend,
  type Link,
  type Opens,
} from '@/data/links';
import { liveSharesOfFarm } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { clientId, id } from '../house/fields';
import { refuse, type Reason } from '../house/reasons';
import { cutFileOf, defineShareView, fileOf, touchCut } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { messagesFor, messagesTo } from '../book/messages';
import { tokenHash } from '../people/secrets';
import { maySeePrices, TOKEN } from './visitor';

const DAY_MS = 24 * 3_600_000;
/** A link that holds longer than a season belongs to nobody any more. */
const MOST_DAYS = 90;

/** What is said of a link that is given, whatever it opens. */
type Given = { clientId: string; days: number; prices: boolean; origin: string; secret: string };

const given = {
  clientId,
  secret: Joi.string().pattern(TOKEN, { name: 'a token of 32 bytes' }).required(),
  days: Joi.number().integer().min(1).max(MOST_DAYS).required(),
  prices: Joi.boolean().required(),
  origin: Joi.string()
    .uri({ scheme: ['http', 'https'] })
    .max(200)
    .required(),
};

/** Who was told of a link, each by their number or address; a farmer is not shown those of others. */
type Told = { told: readonly string[] };

/**
 * Gives a household a private link to its own share and tells it by text and mail. The browser of whoever gives it makes
 * the token; a hash of it is kept, and the address stands in the message alone.
 */
export const giveLink = defineUseCase<Given & { shareId: ShareId }, Told>({
  name: 'giveLink',
  roles: OFFICE,
  others: ['farmer'],
  writes: true,
  input: Joi.object({ ...given, shareId: id }),
  subject: ({ shareId }) => shareId,
  run: async (house, { shareId, ...said }) => {
    const found = await fileOf(house, shareId);
    if (!found.ok) return found;
    if (found.value.cancellation) return refuse('cancelled', 'This order was called off.');
    const written = await writeGiven(house, { shareId, farmId: null }, said);
    if (!written.ok) return written;
    const messages = messagesTo(house, found.value, wordsOf(found.value, written.value));
    await writeMessages(house.db, messages);
    house.touch(shareId);
    const isStaff = house.actor.kind === 'staff';
    return success({ told: messages.map(({ recipient, kind }) => (isStaff ? recipient : kind)) });
  },
});

/** Gives a farm a private link to all sheets of its animals, and tells it. */
export const giveFarmLink = defineUseCase<Given & { personId: PersonId }, Told>({
  name: 'giveFarmLink',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ ...given, personId: id }),
  subject: ({ personId }) => personId,
  run: async (house, { personId, ...said }) => {
    const farm = await personById(house.db, personId);
    if (!farm) return refuse('not-found', 'There is nobody of that name.');
    const [first] = await liveSharesOfFarm(house.db, personId);
    if (!first) return refuse('not-found', 'No animal of theirs is booked or in the shop.');
    const written = await writeGiven(house, { shareId: null, farmId: personId }, said);
    if (!written.ok) return written;
    const { name } = await readShop(house.db);
    const words = `${name}: the sheets of all your animals on one page, to fill in when you have time: ${written.value}`;
    const subject = 'The sheets of your animals';
    const messages = messagesFor(
      house,
      { person: farm, shareId: first },
      { text: words, subject, mail: words },
    );
    await writeMessages(house.db, messages);
    return success({ told: messages.map(({ recipient }) => recipient) });
  },
});

/** Keeps the hash of a link that is given. @returns the address that it opens by */
async function writeGiven(
  { db, now, actor }: House,
  opens: Opens,
  { clientId: linkId, days, prices, origin, secret }: Given,
): Promise<Result<string, Reason>> {
  if (await linkByHash(db, tokenHash(secret))) {
    return refuse('id-reused', 'That link was given before. Give another one.', 'secret');
  }
  await writeLink(db, {
    id: linkId,
    ...opens,
    // Nobody shows others what is not shown to oneself.
    prices: prices && (await maySeePrices(db, actor)),
    at: instant(now),
    actorId: actor.id,
    expiresAt: instant(new Date(now.getTime() + days * DAY_MS)),
    endedAt: null,
    tokenHash: tokenHash(secret),
  });
  return success(`${new URL(origin).origin}/mine/${secret}`);
}

function wordsOf(file: ShareFile, address: string) {
  const said = `${file.shop.name}: say how you want your ${partWords(file)} of ${animalWords(file)} cut, in your own time: ${address}`;
  const subject = `How do you want your ${file.situation.species.name.toLowerCase()} cut?`;
  return { text: said, subject, mail: said };
}

/** Ends a link at once: whoever has it sees nothing any more. */
export const endLink = defineUseCase<{ clientId: string; linkId: string }, true>({
  name: 'endLink',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, linkId: id }),
  subject: ({ linkId }) => linkId,
  run: async (house, { linkId }) => {
    const link = await linkById(house.db, linkId);
    if (!link) return refuse('not-found', 'There is no such link.');
    if (!(await writeEnd(house.db, linkId, instant(house.now)))) {
      return refuse('not-found', 'That link has ended already.', 'linkId');
    }
    if (link.shareId !== null) house.touch(link.shareId);
    return success(true);
  },
});

export type ListedLink = {
  readonly id: string;
  readonly given: string;
  readonly until: string;
  readonly prices: boolean;
  readonly state: 'holds' | 'ended' | 'expired';
};

/** A link as it is listed. */
export function listedLink(zone: string, now: Date, link: Link): ListedLink {
  return {
    id: link.id,
    given: momentWords(zone, link.at),
    until: momentWords(zone, link.expiresAt),
    prices: link.prices,
    state: link.endedAt ? 'ended' : link.expiresAt <= now.toISOString() ? 'expired' : 'holds',
  };
}

/** The links that were given to a farm. */
export const farmLinksView = defineUseCase<{ personId: PersonId }, readonly ListedLink[]>({
  name: 'farmLinksView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ personId: id }),
  run: async ({ db, now }, { personId }) => {
    const { zone } = await readShop(db);
    return success((await linksTo(db, { farmId: personId })).map((link) => listedLink(zone, now, link)));
  },
});

export type LinksView = {
  readonly links: readonly ListedLink[];
  /** What the household sent, the latest first. */
  readonly sent: readonly { readonly at: string; readonly version: number }[];
};

/** The links that were given to a share, and what came back. */
export const linksView = defineShareView<LinksView>({
  name: 'linksView',
  roles: OFFICE,
  show: async ({ db, now }, { share, shop, together }) => ({
    links: (await linksTo(db, { shareIds: [share.id] })).map((link) => listedLink(shop.zone, now, link)),
    sent: (await sendsOfShare(db, together[0]!.id)).map(({ at, version }) => ({
      at: momentWords(shop.zone, at),
      version,
    })),
  }),
});

/** A household says that its sheet is as it wants it; the shop reads it over and approves it. */
export const sendSheet = defineUseCase<
  { clientId: string; shareId: ShareId; version: number },
  { at: string }
>({
  name: 'sendSheet',
  roles: [],
  others: ['household', 'farmer'],
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    version: Joi.number().integer().min(1).required(),
  }),
  subject: ({ shareId }) => shareId,
  run: async (house, { clientId: sendId, shareId: asked, version }) => {
    const found = await cutFileOf(house, asked);
    if (!found.ok) return found;
    const { sheet, start, share, shop } = found.value;
    if (start) return refuse('on-the-block', 'It is on the block already. Ring us.');
    if (!sheet) return refuse('no-sheet', 'Nothing is on your sheet yet.');
    if (sheet.version !== version) {
      return refuse(
        'changed-elsewhere',
        'The sheet was changed a moment ago. Look at it once more, then send it.',
      );
    }
    const at = instant(house.now);
    await writeSend(house.db, {
      id: sendId,
      shareId: share.id,
      version,
      at,
      actorId: house.actor.id,
    });
    touchCut(house, found.value);
    return success({ at: momentWords(shop.zone, at) });
  },
});
