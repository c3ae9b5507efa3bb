import Joi from 'joi';
import { weighedDeed } from '@/core/curing/ingredients';
import type { BatchDeed } from '@/core/grindroom/batch';
import { drawnByGrade, GRADES, SCALES_DIFFER, tubsOf, type Grade } from '@/core/grindroom/tubs';
import type { ShareId } from '@/core/order/animal';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import { success } from '@/core/quantity/result';
import { clientId, id, words } from '../house/fields';
import { isOwner } from '../house/actor';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';
import { loadTaken, onScaleOrTyped, type OnScaleOrTyped } from '../wrap/reading';
import { GRINDERS } from './grinders';
import { batchIn, doTo, type BatchIn } from './batchIn';

type Done = { readonly batchId: string };

type Weighs = OnScaleOrTyped & { readonly batchId: string };
/** No grade where trim is not parted; of a pool, whose meat it is. */
type WeighsMeat = Weighs & { readonly grade?: Grade; readonly of?: ShareId };

const weighs = { ...onScaleOrTyped, batchId: id };

/** Weighs meat out of one of the owner's own tubs into the batch; no more than lies there. */
export const weighMeat = defineUseCase<WeighsMeat, Done>({
  name: 'weighMeat',
  roles: GRINDERS,
  writes: true,
  input: Joi.object({ ...weighs, grade: Joi.valid(...GRADES), of: Joi.string().guid() }).xor(
    'reading',
    'typed',
  ),
  subject: ({ batchId }) => batchId,
  run: async (house, input) => {
    const found = await batchIn(house, input.batchId);
    if (!found.ok) return found;
    const { parts } = found.value;
    const { file } = parts.find((part) => part.file.share.id === input.of) ?? parts[0]!;
    const { unit } = file.shop;
    const load = await loadTaken(house, input, unit);
    if (!load.ok) return load;
    const { net, scaleId, loadId, origin } = load.value;
    const { grade = '' } = input;
    const tub = tubsOf(file, 0).find((each) => each.grade === grade);
    if (!tub || net > tub.left + tub.into * SCALES_DIFFER) {
      const left = `${formatWeight(Math.max(0, tub?.left ?? 0) as Weight, unit)} ${unit}`;
      return refuse('more-than-there-is', `Only ${left} are left in this tub. Is it of another?`);
    }
    const deed: BatchDeed = { kind: 'meat', grade, net: net as Weight, scaleId, loadId, origin };
    return doTo(house, found.value, { clientId: input.clientId, deed, of: file.share.id });
  },
});

/** Puts all meat of a batch back into the tubs it came out of, before anything is weighed for it. */
export const putMeatBack = defineUseCase<{ clientId: string; batchId: string }, Done>({
  name: 'putMeatBack',
  roles: GRINDERS,
  writes: true,
  input: Joi.object({ clientId, batchId: id }),
  subject: ({ batchId }) => batchId,
  run: async (house, { clientId: requestId, batchId }) => {
    const found = await batchIn(house, batchId);
    if (!found.ok) return found;
    const drawn = found.value.parts.flatMap(({ file, own }) =>
      drawnByGrade(own.events).map((each) => ({ ...each, of: file.share.id })),
    );
    if (drawn.length === 0) return refuse('not-in-a-batch', 'No meat is in this batch.');
    for (const [at, { grade, net, of }] of drawn.entries()) {
      const back = `${requestId}.${at}`;
      const deed: BatchDeed = {
        ...{ kind: 'meat', grade, net: -net as Weight },
        ...{ scaleId: 'back', loadId: back, origin: 'typed' },
      };
      const done = await doTo(house, found.value, { clientId: back, deed, of });
      if (!done.ok) return done;
    }
    return success({ batchId });
  },
});

type Ingredient = Weighs & { readonly ingredient: string; readonly lot: string; readonly otherwise: string };

const ingredient = Joi.string().max(60).required();

/** Weighs an ingredient in grams: within its tolerance, or with a reason; nitrite never above the limit of its class. */
export const weighIngredient = defineUseCase<Ingredient, Done>({
  name: 'weighIngredient',
  roles: GRINDERS,
  writes: true,
  input: Joi.object({
    ...weighs,
    ingredient,
    lot: Joi.string().trim().max(40).allow('').required(),
    otherwise: words(200).allow('').required(),
  }).xor('reading', 'typed'),
  subject: ({ batchId, ingredient: name }) => `${batchId} ${name}`,
  run: async (house, input) => {
    const found = await batchIn(house, input.batchId);
    if (!found.ok) return found;
    const load = await loadTaken(house, input, 'g');
    if (!load.ok) return load;
    const deed = weighedDeed(found.value.standing.ingredients, input, load.value);
    return doTo(house, found.value, { clientId: input.clientId, deed });
  },
});

type Looks = { readonly clientId: string; readonly batchId: string; readonly ingredient: string };

/** Somebody else has seen the weight of what brings nitrite: the deed of whoever looks, at whichever station. */
export const lookSecond = defineUseCase<Looks, Done>({
  name: 'lookSecond',
  roles: STAFF,
  writes: true,
  input: Joi.object({ clientId, batchId: id, ingredient }),
  subject: ({ batchId, ingredient: name }) => `${batchId} ${name}`,
  run: async (house, { clientId: requestId, batchId, ingredient: name }) => {
    const found = await batchIn(house, batchId);
    if (!found.ok) return found;
    return doTo(house, found.value, { clientId: requestId, deed: { kind: 'second', ingredient: name } });
  },
});

type Said =
  | { readonly kind: 'again'; readonly ingredient: string }
  | { readonly kind: 'mixed' | 'head' | 'closed' }
  | { readonly kind: 'held' | 'released'; readonly reason: string };

/** What is done to a batch besides weighing: out again, mixed, the head opened, held, released, closed. */
export const doBatch = defineUseCase<{ clientId: string; batchId: string; said: Said }, Done>({
  name: 'doBatch',
  roles: GRINDERS,
  writes: true,
  input: Joi.object({
    clientId,
    batchId: id,
    said: Joi.alternatives()
      .try(
        Joi.object({ kind: Joi.valid('again').required(), ingredient }),
        Joi.object({ kind: Joi.valid('mixed', 'head', 'closed').required() }),
        Joi.object({ kind: Joi.valid('held', 'released').required(), reason: words(200).required() }),
      )
      .required(),
  }),
  subject: ({ batchId, said }) => `${batchId} ${said.kind}`,
  run: async (house, { clientId: requestId, batchId, said }) => {
    const found = await batchIn(house, batchId);
    if (!found.ok) return found;
    if (said.kind === 'released' && !isOwner(house.actor)) {
      return refuse('not-allowed', 'The owner alone releases what is held.');
    }
    return doTo(house, found.value, { clientId: requestId, deed: deedOf(said, found.value) });
  },
});

function deedOf(said: Said, { standing: { added, mix, packed } }: BatchIn): BatchDeed {
  if (said.kind === 'mixed') return { kind: 'mixed', added };
  if (said.kind === 'closed') return { kind: 'closed', film: (mix - packed) as Weight };
  return said as BatchDeed;
}
