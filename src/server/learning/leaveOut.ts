import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { choicesOfLearning, writeLearningChoice } from '@/data/learning';
import { speciesOfYield } from '@/data/yields';
import { clientId, id, words } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase } from '../house/useCase';
import { relearn } from './relearn';

type Input = { clientId: string; shareId: ShareId; leftOut: boolean; reason: string };

/** A finished share is left out of what the shop learns from, with the reason, or taken in again. */
export const leaveOut = defineUseCase<Input, { shareId: ShareId }>({
  name: 'leaveOut',
  roles: ['owner'],
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    leftOut: Joi.boolean().required(),
    reason: Joi.when('leftOut', {
      is: true,
      then: words(300).required(),
      otherwise: Joi.string().allow('').max(300),
    }),
  }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: requestId, shareId, leftOut, reason }) => {
    const species = await speciesOfYield(house.db, shareId);
    if (!species) {
      return refuse('not-found', 'Only a finished share teaches. This one is not closed yet.', 'shareId');
    }
    const isLeftOut = (await choicesOfLearning(house.db)).get(shareId)?.leftOut ?? false;
    if (isLeftOut !== leftOut) {
      const by = { at: instant(house.now), actorId: house.actor.id };
      await writeLearningChoice(house.db, { clientId: requestId, shareId, leftOut, reason, ...by });
      await relearn(house, species);
    }
    return success({ shareId });
  },
});
