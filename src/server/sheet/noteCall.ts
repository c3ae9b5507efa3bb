import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import type { Reached } from '@/core/order/work';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { writeCall } from '@/data/sheet';
import { clientId, id } from '../house/fields';
import { fileOf } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';

/** How a call went, in words. */
export const REACHED_PAST: Readonly<Record<Reached, string>> = {
  spoken: 'spoke with them',
  message: 'left a message',
  nobody: 'nobody there',
};

type Input = { clientId: string; shareId: ShareId; reached: Reached; said: string };

/** Notes a call about a share: who answered and what was said. */
export const noteCall = defineUseCase<Input, { shareId: ShareId }>({
  name: 'noteCall',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    reached: Joi.valid('spoken', 'message', 'nobody').required(),
    said: Joi.string()
      .trim()
      .max(500)
      .when('reached', { is: 'nobody', then: Joi.string().allow('') })
      .required()
      .label('what was said'),
  }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: requestId, shareId, reached, said }) => {
    const found = await fileOf(house, shareId);
    if (!found.ok) return found;
    await writeCall(house.db, {
      id: randomUUID(),
      clientId: requestId,
      shareId,
      reached,
      said,
      at: instant(house.now),
      actorId: house.actor.id,
      actorName: house.actor.name,
    });
    return success({ shareId });
  },
});
