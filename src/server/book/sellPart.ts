import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { AnimalId, Share, ShareId } from '@/core/order/animal';
import type { PersonDocument } from '@/core/order/document';
import { personSchema } from '@/core/order/orderSchema';
import { cents } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import { houseSheet } from '@/core/sheet/houseSheet';
import { instant } from '@/core/time/shopTime';
import { bookedWith, nextOrderNumber, shareIdsOfAnimal, writeShare } from '@/data/book';
import { readShareFile } from '@/data/rail';
import { writeSheetVersion } from '@/data/sheet';
import { clientId, id } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { personOf } from './people';
import { overlap, PARTS } from '@/core/shares/parts';

type Input = {
  clientId: string;
  animalId: AnimalId;
  part: Share['part'];
  /** Percent of the part, where somebody has the rest of it, or nobody yet. */
  sharePct?: number;
  owner: PersonDocument;
  deposit: number;
  /** Start from the house sheet. */
  house: boolean;
};

/** Sells a part of an animal that is in the shop already and that nobody has: the half that found its buyer later. */
export const sellPart = defineUseCase<Input, { shareId: ShareId }>({
  name: 'sellPart',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    animalId: id,
    part: Joi.valid(...PARTS).required(),
    sharePct: Joi.number().greater(0).max(100).default(100),
    owner: personSchema.required(),
    deposit: Joi.number().min(0).max(100_000).precision(2).default(0),
    house: Joi.boolean().default(false),
  }),
  subject: (input) => `${input.part} of ${input.animalId}`,
  run: async (house, input) => {
    const booked = await bookedWith(house.db, [input.animalId]);
    if (!booked.animals.has(input.animalId)) return refuse('not-found', 'There is no such animal.');
    const live = booked.shares.filter((share) => !share.cancelled);
    const refused = takenPart(live, input);
    if (refused) return refused;
    const owner = await personOf(house, input.owner);
    const share: Share = {
      id: randomUUID() as ShareId,
      number: await nextOrderNumber(house.db),
      animalId: input.animalId,
      position: 1 + Math.max(-1, ...live.map((each) => each.position)),
      part: input.part,
      sharePct: input.sharePct ?? 100,
      owner,
      payer: owner,
      contact: owner,
      deposit: cents(Math.round(input.deposit * 100)),
      setUpNumber: house.setUp.number,
      cancelled: false,
    };
    await writeShare(house.db, share);
    const isFirst = !live.some((each) => each.part === input.part);
    if (input.house && isFirst) await writeHouseSheet(house, share.id);
    for (const each of await shareIdsOfAnimal(house.db, input.animalId)) house.touch(each);
    return success({ shareId: share.id });
  },
});

/** Percentages that people typed add up within this. */
const PERCENT_DUST = 0.01;

/** Somebody has the part, or so much of it that less is left than is sold. */
function takenPart(live: readonly Share[], { part, sharePct = 100 }: Input): Refusal | undefined {
  const holder = live.find((share) => share.part !== part && overlap(share.part, part));
  if (holder) {
    return refuse('sold-already', `${holder.owner.name} has that part already. Check which it is.`, 'part');
  }
  const same = live.filter((share) => share.part === part);
  const left = 100 - same.reduce((sum, share) => sum + share.sharePct, 0);
  if (sharePct <= left + PERCENT_DUST) return undefined;
  const names = same.map(({ owner }) => owner.name).join(' and ');
  const message =
    left > PERCENT_DUST
      ? `${names} ${same.length === 1 ? 'has' : 'have'} the rest: ${Math.round(left * 100) / 100} % of it is to be sold.`
      : `${names} ${same.length === 1 ? 'has' : 'have'} that part already. Check which half it is.`;
  return refuse('sold-already', message, 'part');
}

async function writeHouseSheet({ db, setUps, now, actor }: House, shareId: ShareId): Promise<void> {
  const file = (await readShareFile(db, setUps, shareId))!;
  await writeSheetVersion(db, {
    shareId,
    version: 1,
    sheet: houseSheet(file.situation),
    approved: false,
    overrideReason: null,
    at: instant(now),
    actorId: actor.id,
  });
}
