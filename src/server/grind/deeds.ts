import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { weighedDeed } from '@/core/curing/ingredients';
import type { BatchDeed } from '@/core/grindroom/batch';
import { drawnByGrade, GRADES, SCALES_DIFFER, tubsOf, type Grade } from '@/core/grindroom/tubs';
import type { ShareId } from '@/core/order/animal';
import { planOf } from '@/core/order/standing';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import { success } from '@/core/quantity/result';
import { dayIn, instant } from '@/core/time/shopTime';
import { batchesBegunOn, writeBatch } from '@/data/grind';
import { clientId, id, words } from '../house/fields';
import { isOwner } from '../house/actor';
import { refuse } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import { defineUseCase, STAFF } from '../house/useCase';
import { loadTaken, onScaleOrTyped, type OnScaleOrTyped } from '../wrap/reading';
import { GRINDERS } from './grinders';
import { jobOf, lastThrough, WASH_WORDS, washDue } from './washing';
import { batchIn, doTo, type BatchIn } from './batchIn';

type Done = { readonly batchId: string };

/** Begins the batch of a line: what is packed of it from now on comes out of the batch. */
export const beginBatch = defineUseCase<{ clientId: string; shareId: ShareId; lineKey: string }, Done>({
  name: 'beginBatch',
  roles: GRINDERS,
  writes: true,
  input: Joi.object({ clientId, shareId: id, lineKey: Joi.string().max(80).required() }),
  subject: ({ shareId, lineKey }) => `${shareId} ${lineKey}`,
  run: async (house, { clientId: requestId, shareId, lineKey }) => {
    const found = await cutFileOf(house, shareId);
    if (!found.ok) return found;
    const file = found.value;
    if (!file.start) return refuse('not-on-the-block', 'This share is not on the block yet: it has no tub.');
    if (file.closing) return refuse('closed', 'This order is closed. Nothing more is ground for it.');
    const line = planOf(file).expected.lines.find(({ key, kind }) => key === lineKey && kind === 'grind');
    const recipe = file.situation.species.recipes.find(({ name }) => name === line?.ownCut);
    if (!line || !recipe) return refuse('not-on-the-sheet', 'Nothing like that is ground for this share.');
    const { weighings, batches } = file;
    if (batches.some(({ batch }) => batch.lineKey === lineKey)) {
      return refuse('already-taken', 'This batch is begun already. Load the page again.');
    }
    if (weighings.some((each) => each.lineKey === lineKey)) {
      return refuse('packed-already', 'Some of it is packed already, without a batch. Pack the rest so too.');
    }
    const wash = await washDue(house, await lastThrough(house), jobOf(file, lineKey, recipe.allergens));
    if (wash !== 'none') {
      return refuse(
        'not-yet',
        `The grinder is not washed since the last batch: ${WASH_WORDS[wash]} comes first.`,
      );
    }
    const day = dayIn(file.shop.zone, house.now);
    const lot = `G${day}-${(await batchesBegunOn(house.db, day)) + 1}`;
    const batchId = randomUUID();
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeBatch(house.db, {
      ...{ id: batchId, clientId: requestId, shareId: file.share.id, lineKey, recipe, lot },
      ...by,
    });
    touchCut(house, file);
    return success({ batchId });
  },
});

type Weighs = OnScaleOrTyped & { readonly batchId: string };
/** None where trim is not parted. */
type WeighsMeat = Weighs & { readonly grade?: Grade };

const weighs = { ...onScaleOrTyped, batchId: id };

/** Weighs meat out of one of the owner's own tubs into the batch; no more than lies there. */
export const weighMeat = defineUseCase<WeighsMeat, Done>({
  name: 'weighMeat',
  roles: GRINDERS,
  writes: true,
  input: Joi.object({ ...weighs, grade: Joi.valid(...GRADES) }).xor('reading', 'typed'),
  subject: ({ batchId }) => batchId,
  run: async (house, input) => {
    const found = await batchIn(house, input.batchId);
    if (!found.ok) return found;
    const { file } = found.value;
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
    return doTo(house, found.value, { clientId: input.clientId, deed });
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
    const drawn = drawnByGrade(found.value.events);
    if (drawn.length === 0) return refuse('not-in-a-batch', 'No meat is in this batch.');
    for (const { grade, net } of drawn) {
      const back = `${requestId}${grade}`;
      const deed: BatchDeed = {
        ...{ kind: 'meat', grade, net: -net as Weight },
        ...{ scaleId: 'back', loadId: back, origin: 'typed' },
      };
      const done = await doTo(house, found.value, { clientId: back, deed });
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
