import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { recipeAsMixed } from '@/core/curing/cureMix';
import { checkCure, isForOne, isPumped, type CureRecipe } from '@/core/curing/cureRecipe';
import { THICKNESS_IN } from '@/core/curing/days';
import type { CureDeed } from '@/core/curing/inCure';
import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import { success } from '@/core/quantity/result';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import { dayIn, instant } from '@/core/time/shopTime';
import { curesInMix, writeCure } from '@/data/smoke';
import { cureGround } from '../house/cureGround';
import { clientId, id, words } from '../house/fields';
import { isOwner } from '../house/actor';
import { refuse, type Refusal } from '../house/reasons';
import { touchCut } from '../house/shareView';
import { defineUseCase, type House } from '../house/useCase';
import { loadTaken, onScaleOrTyped, type OnScaleOrTyped } from '../wrap/reading';
import { isTooOld } from './mixes';
import { cureIn, doToCure, mixIn, nextLot, openFile, SMOKERS, type CureIn, type MixIn } from './subjects';
import { pieceWithId, toSmoke } from './pieces';

type Done = { readonly id: string };

/** An immersed piece lies in at least half its weight of brine (processing figures). */
const LEAST_BRINE_SHARE = 0.5;

type BeginCure = {
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly weighingId: WeighingId;
  readonly mixId: string;
  readonly thicknessIn: number;
  readonly skinOn: boolean;
  readonly place: string;
};

/** Puts a piece into its cure: by what was really mixed, at a place, for as many days as it is thick. */
export const beginCure = defineUseCase<BeginCure, Done>({
  name: 'beginCure',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    weighingId: id,
    mixId: id,
    thicknessIn: Joi.number().min(THICKNESS_IN.least).max(THICKNESS_IN.most).required(),
    skinOn: Joi.boolean().required(),
    place: Joi.string().trim().min(1).max(60).required(),
  }),
  subject: ({ weighingId }) => weighingId,
  run: async (house, input) => {
    const opened = await openFile(house, input.shareId);
    if (!opened.ok) return opened;
    const file = opened.value;
    const piece = file.weighings.find(({ id: of, kind }) => of === input.weighingId && kind === 'green');
    if (!piece)
      return refuse('not-found', 'There is no such piece of this share. It may have been taken back.');
    const found = await mixIn(house, input.mixId);
    if (!found.ok) return found;
    const { mix, standing } = found.value;
    const known = toSmoke(house, file, piece.id);
    const refused =
      whyNotInto(found.value, piece, {
        isGround: known?.isGround ?? false,
        skinOn: input.skinOn,
        now: house.now,
      }) ??
      (file.cures.some(({ cure }) => cure.weighingId === piece.id)
        ? refuse('already-taken', 'It lies in its cure already. Load the page again.')
        : undefined) ??
      (await tooLittleBrine(house, found.value, piece.net, file.shop.unit));
    if (refused) return refused;
    const recipe = recipeAsMixed(mix.recipe, standing);
    const suits = pieceWithId(house, file, piece.id)?.recipes ?? [];
    if (!suits.includes(recipe.id)) {
      return refuse(
        'wrong-place',
        `${recipe.name} is not for ${piece.cut}: its limit is another’s.`,
        'mixId',
      );
    }
    const [over] = overLimit(house, recipe, input.skinOn);
    if (over !== undefined) return refuse('invalid', over);
    const { lot } = await nextLot(house, 'cure');
    const cureId = randomUUID();
    const { thicknessIn, skinOn, place, clientId: requestId } = input;
    await writeCure(house.db, {
      ...{ id: cureId, clientId: requestId, shareId: file.share.id, lineKey: piece.lineKey },
      ...{ weighingId: piece.id, mixId: mix.id, mixLot: mix.lot, recipe, thicknessIn, skinOn, lot, place },
      green: piece.net,
      begun: dayIn(file.shop.zone, house.now),
      at: instant(house.now),
      actorId: house.actor.id,
    });
    touchCut(house, file);
    return success({ id: cureId });
  },
});

/** As it was really mixed it may be over the limit of its class; a missing beside-salt was refused when it was weighed. */
function overLimit(house: House, recipe: CureRecipe, skinOn: boolean): readonly string[] {
  return checkCure(recipe, { ...cureGround(house), skinOn }).refused.filter((words) =>
    words.includes('nitrite'),
  );
}

function whyNotInto(
  { mix, standing }: MixIn,
  piece: { readonly id: WeighingId },
  { isGround, skinOn, now }: { isGround: boolean; skinOn: boolean; now: Date },
): Refusal | undefined {
  if (isGround) return refuse('wrong-place', 'Ground meat gets its cure in its batch.');
  if (!standing.isMixed) return refuse('not-in-cure', `Lot ${mix.lot} is not mixed yet.`);
  if (isTooOld(mix, now))
    return refuse('not-in-cure', `Lot ${mix.lot} is more than two days old. Make another.`);
  if (standing.held !== '') return refuse('on-hold', `Lot ${mix.lot} is held: ${standing.held}.`);
  if (mix.weighingId !== null && mix.weighingId !== piece.id) {
    return refuse('wrong-place', `Lot ${mix.lot} was weighed for another piece.`);
  }
  return skinOn && !mix.skinOn && isForOne(mix.recipe)
    ? refuse('invalid', 'It was weighed for a piece with its skin off.', 'skinOn')
    : undefined;
}

/** A brine that is pumped or lain in by several must suffice for all of them. */
async function tooLittleBrine(
  house: House,
  { mix }: MixIn,
  net: Weight,
  unit: 'lb' | 'kg',
): Promise<Refusal | undefined> {
  if (mix.weighingId !== null) return undefined;
  const inIt = sumWeights((await curesInMix(house.db, mix.id)).map(({ green }) => green));
  const share = isPumped(mix.recipe) ? mix.recipe.takesPct / 100 : LEAST_BRINE_SHARE;
  const wanted = Math.round((inIt + net) * share) as Weight;
  if (wanted <= mix.makes) return undefined;
  const show = (weight: Weight) => `${formatWeight(weight, unit)} ${unit}`;
  return refuse(
    'more-than-there-is',
    `Lot ${mix.lot} is ${show(mix.makes)} of brine; with this piece ${show(wanted)} would be needed. Make another.`,
  );
}

type WeighsCure = OnScaleOrTyped & { readonly cureId: string; readonly as: 'pumped' | 'drained' };

/** Weighs a piece after it was pumped, or drained: nitrite goes by what the pump put in, never by what stayed. */
export const weighCure = defineUseCase<WeighsCure, Done>({
  name: 'weighCure',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({ ...onScaleOrTyped, cureId: id, as: Joi.valid('pumped', 'drained').required() }).xor(
    'reading',
    'typed',
  ),
  subject: ({ cureId, as }) => `${cureId} ${as}`,
  run: async (house, input) => {
    const found = await cureIn(house, input.cureId);
    if (!found.ok) return found;
    const load = await loadTaken(house, input, found.value.file.shop.unit);
    if (!load.ok) return load;
    const { net, ...on } = load.value;
    const deed: CureDeed = { kind: input.as, net: net as Weight, on };
    return doToCure(house, found.value, { clientId: input.clientId, deed });
  },
});

type SaidOfCure =
  | { readonly kind: 'turned' | 'out' }
  | { readonly kind: 'moved'; readonly place: string }
  | { readonly kind: 'noted'; readonly words: string }
  | { readonly kind: 'held' | 'released'; readonly reason: string };

/** What is done to a piece in its cure besides weighing: turned, moved, noted, held, released, taken out. */
export const doCure = defineUseCase<{ clientId: string; cureId: string; said: SaidOfCure }, Done>({
  name: 'doCure',
  roles: SMOKERS,
  writes: true,
  input: Joi.object({
    clientId,
    cureId: id,
    said: Joi.alternatives()
      .try(
        Joi.object({ kind: Joi.valid('turned', 'out').required() }),
        Joi.object({
          kind: Joi.valid('moved').required(),
          place: Joi.string().trim().min(1).max(60).required(),
        }),
        Joi.object({ kind: Joi.valid('noted').required(), words: words(200).required() }),
        Joi.object({ kind: Joi.valid('held', 'released').required(), reason: words(200).required() }),
      )
      .required(),
  }),
  subject: ({ cureId, said }) => `${cureId} ${said.kind}`,
  run: async (house, { clientId: requestId, cureId, said }) => {
    const found = await cureIn(house, cureId);
    if (!found.ok) return found;
    if (said.kind === 'released' && !isOwner(house.actor)) {
      return refuse('not-allowed', 'The owner alone releases what is held.');
    }
    return doToCure(house, found.value, { clientId: requestId, deed: deedOf(house, found.value, said) });
  },
});

function deedOf(house: House, { file }: CureIn, said: SaidOfCure): CureDeed {
  const day = dayIn(file.shop.zone, house.now);
  return said.kind === 'turned' || said.kind === 'out' ? { kind: said.kind, day } : (said as CureDeed);
}
