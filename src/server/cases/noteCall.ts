import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { failure, success } from '@/core/quantity/result';
import { callsOfShare, writeCall, type Reached } from '@/data/repositories/calls';
import { defineUseCase, OFFICE } from '../doorway';
import { orderOf } from '../orderBook';
import { clientId, id } from './fields';

type Input = { clientId: string; shareId: string; reached: Reached; said: string };

/** Notes a call about a share: who answered and what was said. */
export const noteCall = defineUseCase<Input, { shareId: string }>({
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
    if (!(await orderOf(house.db, shareId))) return failure('not-found', 'There is no such share.');
    const earlier = await callsOfShare(house.db, shareId);
    if (earlier.some((call) => call.clientId === requestId)) return success({ shareId });
    await writeCall(house.db, {
      id: randomUUID(),
      clientId: requestId,
      shareId,
      reached,
      said,
      at: house.now.toISOString(),
      actorId: house.actor.id,
      actorName: house.actor.name,
    });
    return success({ shareId });
  },
});
