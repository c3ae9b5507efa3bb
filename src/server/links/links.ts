import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { animalWords, partWords } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { success } from '@/core/quantity/result';
import { instant, momentWords } from '@/core/time/shopTime';
import { writeMessages } from '@/data/book';
import {
  endLink as writeEnd,
  linkByHash,
  linksOfShare,
  sendsOfShare,
  writeLink,
  writeSend,
} from '@/data/links';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { cutFileOf, defineShareView, fileOf, touchCut } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';
import { messagesTo } from '../book/messages';
import { tokenHash } from '../people/secrets';
import { TOKEN } from './visitor';

const DAY_MS = 24 * 3_600_000;
/** A link that holds longer than a season belongs to nobody any more. */
const MOST_DAYS = 90;

/**
 * Gives a household a private link to its own share and tells it by text and mail. The browser of whoever gives it makes
 * the token; a hash of it is kept, and the address stands in the message alone.
 */
export const giveLink = defineUseCase<
  { clientId: string; shareId: ShareId; days: number; prices: boolean; origin: string; secret: string },
  { told: readonly string[] }
>({
  name: 'giveLink',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    secret: Joi.string().pattern(TOKEN, { name: 'a token of 32 bytes' }).required(),
    days: Joi.number().integer().min(1).max(MOST_DAYS).required(),
    prices: Joi.boolean().required(),
    origin: Joi.string()
      .uri({ scheme: ['http', 'https'] })
      .max(200)
      .required(),
  }),
  subject: ({ shareId }) => shareId,
  run: async (house, { clientId: linkId, shareId, days, prices, origin, secret }) => {
    const found = await fileOf(house, shareId);
    if (!found.ok) return found;
    if (found.value.cancellation) return refuse('cancelled', 'This order was called off.');
    if (await linkByHash(house.db, tokenHash(secret))) {
      return refuse('id-reused', 'That link was given before. Give another one.', 'secret');
    }
    await writeLink(house.db, {
      id: linkId,
      shareId,
      prices,
      at: instant(house.now),
      actorId: house.actor.id,
      expiresAt: instant(new Date(house.now.getTime() + days * DAY_MS)),
      endedAt: null,
      tokenHash: tokenHash(secret),
    });
    const address = `${new URL(origin).origin}/mine/${secret}`;
    const messages = messagesTo(house, found.value, wordsOf(found.value, address));
    await writeMessages(house.db, messages);
    house.touch(shareId);
    return success({ told: messages.map(({ recipient }) => recipient) });
  },
});

function wordsOf(file: ShareFile, address: string) {
  const said = `${file.shop.name}: say how you want your ${partWords(file)} of ${animalWords(file)} cut, in your own time: ${address}`;
  const subject = `How do you want your ${file.situation.species.name.toLowerCase()} cut?`;
  return { text: said, subject, mail: said };
}

/** Ends a link at once: whoever has it sees nothing any more. */
export const endLink = defineUseCase<{ clientId: string; shareId: ShareId; linkId: string }, true>({
  name: 'endLink',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, shareId: id, linkId: id }),
  subject: ({ linkId }) => linkId,
  run: async (house, { shareId, linkId }) => {
    const links = await linksOfShare(house.db, shareId);
    if (!links.some((link) => link.id === linkId)) return refuse('not-found', 'There is no such link.');
    if (!(await writeEnd(house.db, linkId, instant(house.now)))) {
      return refuse('not-found', 'That link has ended already.', 'linkId');
    }
    house.touch(shareId);
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
    links: (await linksOfShare(db, share.id)).map((link) => ({
      id: link.id,
      given: momentWords(shop.zone, link.at),
      until: momentWords(shop.zone, link.expiresAt),
      prices: link.prices,
      state: link.endedAt ? 'ended' : link.expiresAt <= now.toISOString() ? 'expired' : 'holds',
    })),
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
  others: ['household'],
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
