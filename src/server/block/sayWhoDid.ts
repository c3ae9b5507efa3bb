import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { HandId } from '@/core/block/hand';
import { HAND_TASKS, type HandTask } from '@/core/block/handWork';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { writeHandWork } from '@/data/block';
import { allStaff } from '@/data/people';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { touchCut } from '../house/shareView';
import { doneAt, takenAt } from '../house/takenAt';
import { defineUseCase } from '../house/useCase';
import { handId, inHand } from './inHand';

type Input = {
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly hand: HandId;
  readonly task: HandTask;
  readonly personId: string;
  readonly takenAt?: string;
};

/** Who cut, boned or trimmed what is in hand; said again, the last word holds. */
export const sayWhoDid = defineUseCase<Input, { who: string }>({
  name: 'sayWhoDid',
  roles: ['owner', 'cutter'],
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    hand: handId.required(),
    task: Joi.valid(...HAND_TASKS).required(),
    personId: id,
    takenAt,
  }),
  subject: ({ shareId, hand, task, personId }) => `${shareId} ${hand} ${task}: ${personId}`,
  run: async (house, input) => {
    const found = await inHand(house, input);
    if (!found.ok) return found;
    const { file, hand } = found.value;
    const person = (await allStaff(house.db)).find((each) => each.id === input.personId);
    if (!person || person.state === 'left') {
      return refuse('not-found', 'Nobody of that name works here.', 'personId');
    }
    const { clientId: requestId, task, personId } = input;
    await writeHandWork(house.db, {
      ...{ id: randomUUID(), clientId: requestId, shareId: file.share.id, hand: hand.id, task, personId },
      ...{ at: doneAt(house, input.takenAt), actorId: house.actor.id },
    });
    touchCut(house, file);
    return success({ who: person.name });
  },
});
