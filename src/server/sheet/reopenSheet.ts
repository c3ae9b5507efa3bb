import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { writeReopening } from '@/data/sheet';
import { clientId, id, words } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE } from '../house/useCase';
import { changeableAs, draftOver } from './changeable';
import type { SavedSheet } from './saveSheet';

type Input = { clientId: string; shareId: ShareId; version: number; reason: string };

/** Opens an approved sheet again, with a reason: what was approved stands as a version, and the change wants a fresh yes. */
export const reopenSheet = defineUseCase<Input, SavedSheet>({
  name: 'reopenSheet',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    version: Joi.number().integer().min(0).required(),
    reason: words(300).required().label('why it changes'),
  }),
  subject: (input) => input.shareId,
  run: async (house, { shareId, version, reason }) => {
    const found = await changeableAs(house, { shareId, version });
    if (!found.ok) return found;
    const { share, sheet } = found.value;
    if (!sheet?.approved) {
      return refuse('not-approved', 'This sheet is not approved; it may be changed as it is.');
    }
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeReopening(house.db, { id: randomUUID(), shareId: share.id, version, reason, ...by });
    return success(await draftOver(house, found.value, sheet.sheet));
  },
});
