import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { Person, ShareId } from '@/core/order/animal';
import { confirmationOf, confirmationText, type Confirmation } from '@/core/order/confirmation';
import type { Message } from '@/core/order/message';
import type { ShareFile } from '@/core/order/shareFile';
import { success } from '@/core/quantity/result';
import { instant, momentWords } from '@/core/time/shopTime';
import { latestMessages, writeMessages } from '@/data/book';
import { readShareFiles } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { defineShareView } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';

/**
 * Tells everybody who is called about these shares that they are booked: by text, by mail, by both where both are known.
 *
 * @returns the names of those who can be told by neither
 */
export async function confirmBookings(house: House, shareIds: readonly ShareId[]): Promise<string[]> {
  const files = await readShareFiles(house.db, house.setUps, shareIds);
  await writeMessages(
    house.db,
    files.flatMap((file) => messagesOf(house, file)),
  );
  const untold = files.map(({ share }) => share.contact).filter(({ phone, email }) => !phone && !email);
  return [...new Set(untold.map(({ name }) => name))];
}

function messagesOf(house: House, file: ShareFile): Message[] {
  const said = confirmationOf(file);
  const mail = [...said.booked, ...said.stillToDo, ...said.costs, ...said.cautions].join('\n');
  return messagesTo(house, file, { text: confirmationText(file), subject: said.title, mail });
}

type Words = { readonly text: string; readonly subject: string; readonly mail: string };

/** What is said to whoever is called about a share: by text, by mail, by both where both are known. */
export function messagesTo(house: House, { share }: ShareFile, words: Words): Message[] {
  return messagesFor(house, { person: share.contact, shareId: share.id }, words);
}

/** The same to somebody, about a share that has to do with them. */
export function messagesFor(
  { now, actor }: House,
  { person: { name, phone, email }, shareId }: { readonly person: Person; readonly shareId: ShareId },
  { text, subject, mail }: Words,
): Message[] {
  const by = { name, shareId, at: instant(now), actorId: actor.id };
  return [
    ...(phone
      ? [{ ...by, id: randomUUID(), kind: 'text' as const, recipient: phone, subject: '', body: text }]
      : []),
    ...(email
      ? [{ ...by, id: randomUUID(), kind: 'mail' as const, recipient: email, subject, body: mail }]
      : []),
  ];
}

/** The confirmation of a share, as its papers say it. */
export const confirmationView = defineShareView<Confirmation>({
  name: 'confirmationView',
  roles: OFFICE,
  show: (_, file) => confirmationOf(file),
});

export type SentMessage = Omit<Message, 'at' | 'actorId'> & { readonly at: string };

/** So many are at hand; older ones stand on their tickets. */
const MOST_MESSAGES = 100;

/** What the simulated gateway has been given, the newest first. */
export const messagesView = defineUseCase<object, readonly SentMessage[]>({
  name: 'messagesView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({}),
  run: async ({ db }) => {
    const { zone } = await readShop(db);
    const messages = await latestMessages(db, MOST_MESSAGES);
    return success(
      messages.map(({ actorId: _who, at, ...message }) => ({ ...message, at: momentWords(zone, at) })),
    );
  },
});
