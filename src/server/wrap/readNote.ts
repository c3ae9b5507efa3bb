import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { writeNoteRead } from '@/data/wrap';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import { defineUseCase, STAFF } from '../house/useCase';

type Input = { clientId: string; shareId: ShareId };

/** Somebody at the table has read the words for the cutter: they stop nobody twice, and who has read them is known. */
export const readNote = defineUseCase<Input, { shareId: ShareId }>({
  name: 'readNote',
  roles: STAFF,
  writes: true,
  input: Joi.object({ clientId, shareId: id }),
  subject: (input) => input.shareId,
  run: async (house, { shareId: asked }) => {
    const found = await cutFileOf(house, asked);
    if (!found.ok) return found;
    const shareId = found.value.share.id;
    if (!found.value.start || planOf(found.value).instructions === '') {
      return refuse('not-on-the-block', 'There are no words to read on the block for this share.');
    }
    await writeNoteRead(house.db, { shareId, actorId: house.actor.id, at: instant(house.now) });
    touchCut(house, found.value);
    return success({ shareId });
  },
});
