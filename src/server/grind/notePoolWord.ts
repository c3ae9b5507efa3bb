import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { SAID_HOW, writePoolWord, type SaidHow } from '@/data/grind';
import { clientId, id, words } from '../house/fields';
import { refuse } from '../house/reasons';
import { fileOf } from '../house/shareView';
import { defineUseCase } from '../house/useCase';

type Says = {
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly yes: boolean;
  readonly name: string;
  readonly how: SaidHow;
};

/** What an owner has said in writing to being ground together with others; the last word holds until its batch begins. */
export const notePoolWord = defineUseCase<Says, { readonly yes: boolean }>({
  name: 'notePoolWord',
  roles: ['owner', 'counter'],
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    yes: Joi.boolean().required(),
    name: words(80).required(),
    how: Joi.valid(...SAID_HOW).required(),
  }),
  subject: ({ shareId }) => shareId,
  run: async (house, said) => {
    const found = await fileOf(house, said.shareId);
    if (!found.ok) return found;
    if (found.value.closing) return refuse('closed', 'This order is closed. Nothing more is ground for it.');
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writePoolWord(house.db, { ...said, ...by, id: randomUUID() });
    house.touch(said.shareId);
    return success({ yes: said.yes });
  },
});
