import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { instant, isDay, type Day, type Instant } from '@/core/time/shopTime';
import { ingredientLots, writeIngredientLot } from '@/data/dayBook';
import { allUsers } from '@/data/people';
import { readShop } from '@/data/setUp';
import { clientId } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';

/** A lot of an ingredient as it came in. */
export type ReceivedLot = {
  readonly id: string;
  readonly ingredient: string;
  readonly lot: string;
  readonly supplier: string;
  /** Tenths of a gram. */
  readonly tenths: number;
  readonly bestBy: Day | null;
  readonly at: Instant;
  readonly by: string;
};

export type IngredientsView = {
  readonly zone: string;
  /** What the pantry knows, in its order. */
  readonly pantry: readonly string[];
  /** The newest first. */
  readonly lots: readonly ReceivedLot[];
};

/** The lots of ingredients that came in. */
export const ingredientsView = defineUseCase<object, IngredientsView>({
  name: 'ingredientsView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async ({ db, catalogue }) => {
    const names = new Map((await allUsers(db)).map(({ id, name }) => [id, name]));
    const { zone } = await readShop(db);
    const lots = (await ingredientLots(db)).map(({ clientId: _clientId, actorId, ...lot }) => ({
      ...lot,
      by: names.get(actorId) ?? 'somebody',
    }));
    const pantry = catalogue.ingredients.filter(({ meat }) => meat !== true).map(({ name }) => name);
    return success({ zone, pantry, lots });
  },
});

/** More of one lot than this came to no small shop: a metric ton, in tenths of a gram. */
const MOST_TENTHS = 10_000_000;

type Receives = {
  readonly clientId: string;
  readonly ingredient: string;
  readonly lot: string;
  readonly supplier: string;
  readonly tenths: number;
  readonly bestBy: Day | null;
};

/** An ingredient came in: by its lot it is traced to every batch and brine it goes into. */
export const receiveIngredient = defineUseCase<Receives, { readonly id: string }>({
  name: 'receiveIngredient',
  roles: STAFF,
  writes: true,
  input: Joi.object({
    clientId,
    ingredient: Joi.string().max(60).required(),
    lot: Joi.string().trim().min(1).max(40).required(),
    supplier: Joi.string().trim().min(1).max(60).required(),
    tenths: Joi.number().integer().min(1).max(MOST_TENTHS).required(),
    bestBy: Joi.string()
      .custom((said: string, helpers) => (isDay(said) ? said : helpers.error('day')))
      .messages({ day: '{#label} is no date. Write 2026-12-25.' })
      .allow(null)
      .required(),
  }),
  subject: ({ ingredient, lot }) => `${ingredient} ${lot}`,
  run: async (house, { clientId: requestId, ...lot }) => {
    if (!house.catalogue.ingredients.some(({ name }) => name === lot.ingredient)) {
      return refuse('not-found', `The pantry has no "${lot.ingredient}".`, 'ingredient');
    }
    const id = randomUUID();
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeIngredientLot(house.db, { id, clientId: requestId, ...lot, ...by });
    return success({ id });
  },
});
