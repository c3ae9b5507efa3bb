import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { failure, success } from '@/core/quantity/result';
import { reverseTransaction } from '@/data/repositories/ledger';
import { isVoided, weighingById, writeLineNote, writeVoid } from '@/data/repositories/weighings';
import { defineUseCase, EVERYONE } from '../doorway';
import { orderOf, shareName } from '../orderBook';
import { clientId, id } from './fields';

/** Takes a weighing back: a new entry that undoes it. The pack is weighed again as a new one. */
export const voidWeighing = defineUseCase<
  { clientId: string; weighingId: string; reason: string },
  { id: string }
>({
  name: 'voidWeighing',
  roles: EVERYONE,
  writes: true,
  input: Joi.object({ clientId, weighingId: id, reason: Joi.string().trim().min(1).max(200).required() }),
  subject: (input) => input.weighingId,
  run: async (house, { clientId: requestId, weighingId, reason }) => {
    const weighing = await weighingById(house.db, weighingId);
    if (!weighing) return failure('not-found', 'There is no such weighing.');
    if (await isVoided(house.db, weighingId)) return success({ id: weighingId });
    const order = await orderOf(house.db, weighing.shareId);
    if (order?.closing) return failure('closed', 'This order is closed. Its weighings stand.');
    const at = house.now.toISOString();
    const transactionId = randomUUID();
    await reverseTransaction(house.db, {
      id: transactionId,
      kind: 'void',
      at,
      actorId: house.actor.id,
      reversesId: weighing.transactionId,
    });
    await writeVoid(house.db, {
      weighingId,
      clientId: requestId,
      reason,
      at,
      actorId: house.actor.id,
      transactionId,
    });
    return success({ id: weighingId });
  },
});

type NoteInput = { clientId: string; shareId: string; lineKey: string; note: string };

/** Says why a line of the sheet is short, over or missing; the line then waits for nothing more. */
export const noteLine = defineUseCase<NoteInput, { shareId: string }>({
  name: 'noteLine',
  roles: EVERYONE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    lineKey: Joi.string().max(80).required(),
    note: Joi.string().trim().min(1).max(300).required(),
  }),
  subject: (input) => `${input.shareId} ${input.lineKey}`,
  run: async (house, { clientId: requestId, shareId, lineKey: key, note }) => {
    const order = await orderOf(house.db, shareId);
    if (!order) return failure('not-found', 'There is no such share.');
    if (order.closing) return failure('closed', `${shareName(order)} is closed.`);
    if (order.notes.some((each) => each.clientId === requestId)) return success({ shareId });
    const at = house.now.toISOString();
    const entry = {
      id: randomUUID(),
      clientId: requestId,
      shareId,
      lineKey: key,
      note,
      at,
      actorId: house.actor.id,
    };
    await writeLineNote(house.db, entry);
    return success({ shareId });
  },
});
