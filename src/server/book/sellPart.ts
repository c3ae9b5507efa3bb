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
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { personOf } from './people';

type Input = {
  clientId: string;
  animalId: AnimalId;
  part: Share['part'];
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
    part: Joi.valid('left', 'right', 'whole').required(),
    owner: personSchema.required(),
    deposit: Joi.number().min(0).max(100_000).precision(2).default(0),
    house: Joi.boolean().default(false),
  }),
  subject: (input) => `${input.part} of ${input.animalId}`,
  run: async (house, input) => {
    const booked = await bookedWith(house.db, [input.animalId]);
    if (!booked.animals.has(input.animalId)) return refuse('not-found', 'There is no such animal.');
    const live = booked.shares.filter((share) => !share.cancelled);
    const holder = live.find((share) => overlap(share.part, input.part));
    if (holder) {
      return refuse(
        'sold-already',
        `${holder.owner.name} has that part already. Check which half it is.`,
        'part',
      );
    }
    const owner = await personOf(house, input.owner);
    const share: Share = {
      id: randomUUID() as ShareId,
      number: await nextOrderNumber(house.db),
      animalId: input.animalId,
      position: 1 + Math.max(-1, ...live.map((each) => each.position)),
      part: input.part,
      owner,
      payer: owner,
      contact: owner,
      deposit: cents(Math.round(input.deposit * 100)),
      setUpNumber: house.setUp.number,
      cancelled: false,
    };
    await writeShare(house.db, share);
    if (input.house) await writeHouseSheet(house, share.id);
    for (const each of await shareIdsOfAnimal(house.db, input.animalId)) house.touch(each);
    return success({ shareId: share.id });
  },
});

function overlap(a: Share['part'], b: Share['part']): boolean {
  return a === b || a === 'whole' || b === 'whole';
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
