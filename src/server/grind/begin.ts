import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { whyNotPooled, type MayJoin } from '@/core/grindroom/pool';
import type { ForecastLine } from '@/core/forecast/types';
import type { ShareId } from '@/core/order/animal';
import { cutName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import { success, type Result } from '@/core/quantity/result';
import type { Recipe } from '@/core/species/recipeTypes';
import { dayIn, instant } from '@/core/time/shopTime';
import { batchesBegunOn, sharesThatPool, writeBatch } from '@/data/grind';
import { clientId, id } from '../house/fields';
import { refuse, type Reason } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import { defineUseCase, type House } from '../house/useCase';
import { GRINDERS } from './grinders';
import { jobOf, lastThrough, WASH_WORDS, washDue } from './washing';

/** A line of a share's plan that is ground. */
export type LineOfShare = { readonly shareId: ShareId; readonly lineKey: string };

type Begins = LineOfShare & {
  readonly clientId: string;
  /** Lines of others that are ground together with it. */
  readonly with?: readonly LineOfShare[];
};

/** More owners than these no mixer holds. */
const MOST_OTHERS = 7;

const lineOfShare = { shareId: id, lineKey: Joi.string().max(80).required() };

/**
 * Begins the batch of a line: what is packed of it from now on comes out of the batch. Of several owners together where
 * each has said yes in writing, and neither law nor rite parts them.
 */
export const beginBatch = defineUseCase<Begins, { readonly batchId: string }>({
  name: 'beginBatch',
  roles: GRINDERS,
  writes: true,
  input: Joi.object({
    clientId,
    ...lineOfShare,
    with: Joi.array().items(Joi.object(lineOfShare)).min(1).max(MOST_OTHERS).unique('shareId'),
  }),
  subject: ({ shareId, lineKey }) => `${shareId} ${lineKey}`,
  run: async (house, { clientId: requestId, shareId, lineKey, with: others = [] }) => {
    const lines: Beginning[] = [];
    for (const each of [{ shareId, lineKey }, ...others]) {
      const found = await mayBegin(house, each);
      if (!found.ok) return found;
      lines.push(found.value);
    }
    const apart = await whyApart(house, lines);
    if (apart !== '') return refuse('wrong-place', apart);
    const { file, recipe } = lines[0]!;
    const wash = await washDue(house, await lastThrough(house), jobOf(file, lineKey, recipe.allergens));
    if (wash !== 'none') {
      return refuse(
        'not-yet',
        `The grinder is not washed since the last batch: ${WASH_WORDS[wash]} comes first.`,
      );
    }
    const day = dayIn(file.shop.zone, house.now);
    const begun = await batchesBegunOn(house.db, day);
    const batchIds = lines.map(() => randomUUID() as string);
    const poolId = lines.length > 1 ? randomUUID() : null;
    for (const [at, each] of lines.entries()) {
      await writeBatch(house.db, {
        ...{ id: batchIds[at]!, clientId: at === 0 ? requestId : `${requestId}.${at}` },
        ...{ shareId: each.file.share.id, lineKey: each.line.key, recipe: each.recipe, poolId },
        ...{ lot: `G${day}-${begun + at + 1}`, at: instant(house.now), actorId: house.actor.id },
      });
      touchCut(house, each.file);
    }
    return success({ batchId: batchIds[0]! });
  },
});

type Beginning = { readonly file: ShareFile; readonly line: ForecastLine; readonly recipe: Recipe };

async function mayBegin(house: House, { shareId, lineKey }: LineOfShare): Promise<Result<Beginning, Reason>> {
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
  return success({ file, line, recipe });
}

/** What decides whether a line is ground together with others. */
export function joinOf({ file, line }: Pick<Beginning, 'file' | 'line'>, yes: ReadonlySet<ShareId>): MayJoin {
  return {
    name: cutName(file),
    species: file.situation.species.id,
    rite: file.situation.condition?.rite ?? '',
    inspection: file.animal.inspection,
    recipe: line.ownCut,
    packWeight: line.packWeight,
    // Households that are cut as one have all to say it.
    yes: file.together.every((share) => yes.has(share.id)),
  };
}

async function whyApart(house: House, lines: readonly Beginning[]): Promise<string> {
  const [first, ...others] = lines;
  if (others.length === 0) return '';
  const shareIds = lines.flatMap(({ file }) => file.together.map((share) => share.id));
  if (new Set(lines.map(({ file }) => file.share.id)).size < lines.length) {
    return 'Two of these are of one owner. One owner’s batches need no pool.';
  }
  const yes = await sharesThatPool(house.db, shareIds);
  const whys = others.map((each) => whyNotPooled(joinOf(first!, yes), joinOf(each, yes)));
  return whys.find((why) => why !== '') ?? '';
}
