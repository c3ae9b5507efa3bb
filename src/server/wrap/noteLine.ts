import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { shareName } from '@/core/order/naming';
import { planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { writeLineNote } from '@/data/wrap';
import { clientId, id, words } from '../house/fields';
import { refuse } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import { defineUseCase, STAFF } from '../house/useCase';

type Input = { clientId: string; shareId: ShareId; lineKey: string; note: string };

/** Says why a line of the plan is short, over or missing; the line then waits for nothing more. */
export const noteLine = defineUseCase<Input, { shareId: ShareId }>({
  name: 'noteLine',
  roles: STAFF,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    lineKey: Joi.string().max(80).required(),
    note: words(300).required(),
  }),
  subject: (input) => `${input.shareId} ${input.lineKey}`,
  run: async (house, { clientId: requestId, shareId: asked, lineKey, note }) => {
    const found = await cutFileOf(house, asked);
    if (!found.ok) return found;
    const file = found.value;
    const shareId = file.share.id;
    if (!file.start)
      return refuse('not-on-the-block', 'This share is not on the block yet. Change its sheet instead.');
    if (file.closing) return refuse('closed', `${shareName(file)} is closed.`);
    if (!planOf(file).expected.lines.some((line) => line.key === lineKey)) {
      return refuse('not-on-the-sheet', 'That cut is not on this sheet. Choose one of the targets.');
    }
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeLineNote(house.db, { id: randomUUID(), clientId: requestId, shareId, lineKey, note, ...by });
    touchCut(house, file);
    return success({ shareId });
  },
});
