import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { HandId } from '@/core/block/hand';
import { stepsOf } from '@/core/block/steps';
import { planOf } from '@/core/order/standing';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { writeStepMark } from '@/data/block';
import { noteReadsOf } from '@/data/wrap';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { doneAt, takenAt } from '../house/takenAt';
import { touchCut } from '../house/shareView';
import { defineUseCase } from '../house/useCase';
import { handId, inHand } from './inHand';
import { besideOf } from './beside';
import { levelNow } from './level';

type Input = {
  clientId: string;
  shareId: ShareId;
  hand: HandId;
  step: string;
  done: boolean;
  takenAt?: string;
};

/** A step of the break is done, or is not after all. The words for the cutter stop whoever has not read them. */
export const markStep = defineUseCase<Input, { step: string }>({
  name: 'markStep',
  roles: ['owner', 'cutter'],
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    hand: handId.required(),
    step: Joi.string().max(60).required(),
    done: Joi.boolean().required(),
    takenAt,
  }),
  subject: ({ shareId, hand, step, done }) => `${shareId} ${hand} ${step} ${done ? 'done' : 'back'}`,
  run: async (house, input) => {
    const found = await inHand(house, input);
    if (!found.ok) return found;
    const { file, hand } = found.value;
    const beside = await besideOf(house, file, hand);
    const asked = stepsOf(hand, beside).find((step) => step.id === input.step);
    if (!asked) {
      return refuse('not-found', 'There is no such step in this break. Load the page again.');
    }
    if (input.done && (await levelNow(house)) < asked.level) {
      return refuse(
        'not-yet',
        `${asked.title} is not yours yet. Whoever cuts fully does it, and signs in for it.`,
      );
    }
    const reads = planOf(file).instructions === '' ? [] : await noteReadsOf(house.db, file.share.id);
    const isRead =
      planOf(file).instructions === '' || reads.some(({ actorId }) => actorId === house.actor.id);
    if (!isRead) return refuse('words-not-read', `Read first: ${planOf(file).instructions}`);
    const { step, done, clientId: requestId } = input;
    const by = { at: doneAt(house, input.takenAt), actorId: house.actor.id };
    await writeStepMark(house.db, {
      ...{ id: randomUUID(), clientId: requestId, shareId: file.share.id, hand: hand.id, step, done },
      ...by,
    });
    touchCut(house, file);
    return success({ step });
  },
});
