import Joi from 'joi';
import { cutCards, type CutCards } from '@/core/label/cutCards';
import { success } from '@/core/quantity/result';
import { readShop } from '@/data/setUp';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';

/** Everything that can be packed of a species, as cards to scan. */
export const cutCardsView = defineUseCase<{ species: string }, CutCards>({
  name: 'cutCardsView',
  roles: STAFF,
  writes: false,
  input: Joi.object({ species: Joi.string().max(40).required() }),
  run: async ({ db, catalogue }, { species }) => {
    const found = catalogue.species.find(({ id }) => id === species);
    if (!found) return refuse('not-found', 'We do not cut that animal.', 'species');
    const { codePrefix } = await readShop(db);
    return success(cutCards(found, codePrefix));
  },
});
