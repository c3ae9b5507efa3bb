import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { dueOf } from '@/core/order/settling';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { writePickUp } from '@/data/settle';
import { isOwner } from '../house/actor';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { fileOf } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';

type Input = { clientId: string; shareId: ShareId; takenBy: string };

/** Hands the boxes over. Unpaid boxes leave only with the owner's word. */
export const handOver = defineUseCase<Input, { shareId: ShareId }>({
  name: 'handOver',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, shareId: id, takenBy: Joi.string().trim().min(1).max(80).required() }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: requestId, shareId, takenBy }) => {
    const found = await fileOf(house, shareId);
    if (!found.ok) return found;
    const file = found.value;
    if (!file.closing) return refuse('not-closed', 'The bill is not final yet. Close the balance first.');
    if (file.pickUp) return success({ shareId });
    if (dueOf(file) > 0 && !isOwner(house.actor)) {
      return refuse('not-paid', 'The bill is not paid in full. Take the payment, or ask the owner.');
    }
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writePickUp(house.db, { shareId, clientId: requestId, takenBy, ...by });
    house.touch(shareId);
    return success({ shareId });
  },
});
