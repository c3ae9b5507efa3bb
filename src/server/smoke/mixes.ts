import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { checkCure, isForOne, isToMeat } from '@/core/curing/cureRecipe';
import type { CureMix } from '@/core/curing/cureMix';
import { weighedDeed } from '@/core/curing/ingredients';
import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import type { Weight } from '@/core/quantity/weight';
import { instant } from '@/core/time/shopTime';
import { writeMix } from '@/data/smoke';
import { cureGround } from '../house/cureGround';
import { clientId, id, words } from '../house/fields';
import { isOwner } from '../house/actor';
import { refuse, type Reason } from '../house/reasons';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { loadTaken, onScaleOrTyped, type OnScaleOrTyped } from '../wrap/reading';
import { doToMix, mixIn, nextLot, openFile, SMOKERS } from './subjects';

type Done = { readonly id: string };

/** A brine of more than this is no brine of a small shop; thousandths. */
const MOST_BRINE = 1_000_000;

/** Brine does not keep: after so long another is made. */
const KEEPS_MS = 48 * 3_600_000;

export function isTooOld({ at }: Pick<CureMix, 'at'>, now: Date): boolean {
  return now.getTime() - Date.parse(at) > KEEPS_MS;
}

type BeginMix = {
  readonly clientId: string;
  readonly recipeId: string;
  /** The piece that it is for, where it is mixed for one. */
  readonly piece: { readonly shareId: ShareId; readonly weighingId: WeighingId } | null;
  readonly skinOn: boolean;
  /** Of a brine, thousandths; not read where it goes by the piece. */
  readonly makes: number;
};

/** Begins a brine, or a rub for one piece by its green weight; what would be over the limit of its class is refused. */
export const beginMix = defineUseCase<BeginMix, Done>({
  name: 'beginMix',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({
    clientId,
    recipeId: Joi.string().max(80).required(),
    piece: Joi.object({ shareId: id, weighingId: id }).allow(null).required(),
    skinOn: Joi.boolean().required(),
    makes: Joi.number().integer().min(0).max(MOST_BRINE).required(),
  }),
  subject: ({ recipeId }) => recipeId,
  run: async (house, input) => {
    const recipe = house.setUp.curing.recipes.find((each) => each.id === input.recipeId);
    if (!recipe) return refuse('not-found', 'The shop has no such cure any more. Choose another.');
    const { skinOn } = input;
    const [over] = checkCure(recipe, { ...cureGround(house), skinOn }).refused;
    if (over !== undefined) return refuse('invalid', over, 'recipeId');
    const isOwn = isForOne(recipe);
    const green = isOwn ? await greenOf(house, input.piece) : success(null);
    if (!green.ok) return green;
    const brine = recipe.level ? (recipe.brinePerMeat ?? 1) : 1;
    const makes =
      green.value === null ? input.makes : Math.round(green.value * (isToMeat(recipe) ? 1 : brine));
    if (makes <= 0) return refuse('invalid', 'Say how much brine is made.', 'makes');
    const { lot } = await nextLot(house, 'mix');
    const mixId = randomUUID();
    await writeMix(house.db, {
      ...{ id: mixId, clientId: input.clientId, recipe, skinOn, lot },
      makes: makes as Weight,
      weighingId: isOwn ? input.piece!.weighingId : null,
      at: instant(house.now),
      actorId: house.actor.id,
    });
    return success({ id: mixId });
  },
});

async function greenOf(house: House, piece: BeginMix['piece']): Promise<Result<Weight, Reason>> {
  if (!piece) return refuse('invalid', 'This is mixed for one piece. Choose the piece first.', 'piece');
  const found = await openFile(house, piece.shareId);
  if (!found.ok) return found;
  const green = found.value.weighings.find((each) => each.id === piece.weighingId && each.kind === 'green');
  return green ? success(green.net) : refuse('not-found', 'There is no such piece of this share.');
}

const ingredient = Joi.string().max(60).required();

type WeighsMix = OnScaleOrTyped & {
  readonly mixId: string;
  readonly ingredient: string;
  readonly lot: string;
  readonly otherwise: string;
};

/** Weighs an ingredient of a brine or a rub in grams; curing salt on the scale alone, never above the limit of its class. */
export const weighMix = defineUseCase<WeighsMix, Done>({
  name: 'weighMix',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({
    ...onScaleOrTyped,
    mixId: id,
    ingredient,
    lot: Joi.string().trim().max(40).allow('').required(),
    otherwise: words(200).allow('').required(),
  }).xor('reading', 'typed'),
  subject: ({ mixId, ingredient: name }) => `${mixId} ${name}`,
  run: async (house, input) => {
    const found = await mixIn(house, input.mixId);
    if (!found.ok) return found;
    const load = await loadTaken(house, input, 'g');
    if (!load.ok) return load;
    const deed = weighedDeed(found.value.standing.ingredients, input, load.value);
    return doToMix(house, found.value, { clientId: input.clientId, deed });
  },
});

type Looks = { readonly clientId: string; readonly mixId: string; readonly ingredient: string };

/** Somebody else has seen the weight of the curing salt: the deed of whoever looks, at whichever station. */
export const lookAtMix = defineUseCase<Looks, Done>({
  name: 'lookAtMix',
  roles: STAFF,
  writes: true,
  input: Joi.object({ clientId, mixId: id, ingredient }),
  subject: ({ mixId, ingredient: name }) => `${mixId} ${name}`,
  run: async (house, { clientId: requestId, mixId, ingredient: name }) => {
    const found = await mixIn(house, mixId);
    if (!found.ok) return found;
    const deed = { kind: 'second' as const, ingredient: name };
    return doToMix(house, found.value, { clientId: requestId, deed });
  },
});

type SaidOfMix =
  | { readonly kind: 'again'; readonly ingredient: string }
  | { readonly kind: 'mixed' }
  | { readonly kind: 'held' | 'released'; readonly reason: string };

/** What is done to a brine or a rub besides weighing: out again, mixed, held, released. */
export const doMix = defineUseCase<{ clientId: string; mixId: string; said: SaidOfMix }, Done>({
  name: 'doMix',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({
    clientId,
    mixId: id,
    said: Joi.alternatives()
      .try(
        Joi.object({ kind: Joi.valid('again').required(), ingredient }),
        Joi.object({ kind: Joi.valid('mixed').required() }),
        Joi.object({ kind: Joi.valid('held', 'released').required(), reason: words(200).required() }),
      )
      .required(),
  }),
  subject: ({ mixId, said }) => `${mixId} ${said.kind}`,
  run: async (house, { clientId: requestId, mixId, said }) => {
    const found = await mixIn(house, mixId);
    if (!found.ok) return found;
    if (said.kind === 'released' && !isOwner(house.actor)) {
      return refuse('not-allowed', 'The owner alone releases what is held.');
    }
    return doToMix(house, found.value, { clientId: requestId, deed: said });
  },
});
