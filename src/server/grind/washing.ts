import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { USUAL_WASH, washBetween, washesThatDo, type GrindJob, type Wash } from '@/core/grindroom/board';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { lastCleaned, writeCleaning } from '@/data/dayBook';
import { lastBegun } from '@/data/grind';
import { clientId } from '../house/fields';
import { defineUseCase, type House } from '../house/useCase';
import { GRINDERS } from './grinders';

/** Where the washes between batches are written down. */
const GRINDER = 'Grinder';

export const WASH_WORDS: Readonly<Record<Wash, string>> = {
  none: '',
  scrape: 'scraped and sanitised',
  species: 'cleaned between species',
  wet: 'full wet clean',
};

/** The last batch that went through the grinder, as far as washing depends on it. */
export type LastThrough = { readonly job: GrindJob; readonly until: string; readonly batchId: string };

export async function lastThrough(house: House): Promise<LastThrough | undefined> {
  const last = await lastBegun(house.db);
  const file = last && (await house.files.read(house.db, last.shareId));
  if (!last || !file) return undefined;
  const allergens = file.batches.find(({ batch }) => batch.id === last.id)?.batch.recipe.allergens ?? [];
  return { job: jobOf(file, last.lineKey, allergens), until: last.until, batchId: last.id };
}

/** A line of a share as the board of a day sees it. */
export function jobOf(file: ShareFile, lineKey: string, allergens: readonly string[]): GrindJob {
  const { situation, share } = file;
  return {
    id: `${share.id}/${lineKey}`,
    shareId: share.id,
    species: situation.species.id,
    allergens,
    rite: situation.condition?.rite ?? '',
    leanPct: 100 - planOf(file).expected.pool.fatPct,
  };
}

/** What must be washed before a batch may begin: `none` where nothing must, or where it is done since the last one. */
export async function washDue(house: House, last: LastThrough | undefined, next: GrindJob): Promise<Wash> {
  if (!last) return 'none';
  const wash = washBetween(last.job, next);
  if (wash === 'none') return 'none';
  const done = await lastCleaned(
    house.db,
    GRINDER,
    washesThatDo(wash).map((each) => WASH_WORDS[each]),
  );
  return done && done.at >= last.until ? 'none' : wash;
}

type Washed = { readonly clientId: string; readonly wash: Exclude<Wash, 'none'> };

/** The grinder was washed: written down with who did it, and the next batch may begin. */
export const noteWash = defineUseCase<Washed, { readonly wash: Wash }>({
  name: 'noteWash',
  roles: GRINDERS,
  writes: true,
  input: Joi.object({ clientId, wash: Joi.valid('scrape', 'species', 'wet').required() }),
  subject: ({ wash }) => wash,
  run: async (house, { clientId: requestId, wash }) => {
    await writeCleaning(house.db, {
      ...{ id: randomUUID(), clientId: requestId, place: GRINDER, what: WASH_WORDS[wash] },
      minutes: USUAL_WASH[wash],
      at: instant(house.now),
      actorId: house.actor.id,
    });
    return success({ wash });
  },
});
