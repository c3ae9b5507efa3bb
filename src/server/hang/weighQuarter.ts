import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { speciesIn } from '@/core/catalogue/catalogue';
import { QUARTERS } from '@/core/hang/quarters';
import type { SideId } from '@/core/order/animal';
import { netOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { Quarter } from '@/core/species/types';
import { bookedWith, sideById } from '@/data/book';
import { quartersOfSides, ticketsOfSides, writeQuarterWeight } from '@/data/hang';
import { readShop } from '@/data/setUp';
import { clientId, id, sure, thousandths } from '../house/fields';
import { refuse } from '../house/reasons';
import { doneAt, takenAt } from '../house/takenAt';
import { defineUseCase } from '../house/useCase';
import { readingSchema } from '../wrap/reading';
import { touchHolders } from './holders';
import { RAIL_HANDS } from './rails';
import { goneProblem, takeTicket, tareProblem, weighed, type OnScale } from './weighSide';

type Input = OnScale & {
  readonly clientId: string;
  readonly sideId: SideId;
  readonly quarter: Quarter;
  readonly kind: 'hot' | 'cold';
  readonly tare: number;
  readonly sure: boolean;
  readonly takenAt?: string;
};

/** Weighs a quarter of a side that was parted. When both are weighed they are the side's weight, and each share has its own. */
export const weighQuarter = defineUseCase<Input, { sideId: SideId; other: Quarter | null }>({
  name: 'weighQuarter',
  roles: RAIL_HANDS,
  writes: true,
  input: Joi.object({
    clientId,
    sideId: id,
    quarter: Joi.valid(...QUARTERS).required(),
    kind: Joi.valid('hot', 'cold').required(),
    gross: thousandths.positive(),
    reading: readingSchema,
    tare: thousandths.required(),
    sure,
    takenAt,
  }).xor('gross', 'reading'),
  subject: ({ sideId, quarter, kind }) => `${kind} ${quarter} ${sideId}`,
  run: async (house, input) => {
    const { unit } = await readShop(house.db);
    const weight = weighed(house, input, unit);
    if (!weight.ok) return weight;
    const side = await sideById(house.db, input.sideId);
    if (!side) return refuse('not-found', 'There is no such side on the rail.');
    const { animals, shares } = await bookedWith(house.db, [side.animalId]);
    const animal = animals.get(side.animalId)!;
    const { atlas, name } = speciesIn(house.catalogue, animal.species);
    if (!atlas.quarters || animal.unsplit) {
      return refuse('not-offered', `${name} ${animal.tag} is not weighed in quarters.`, 'quarter');
    }
    const gone = await goneProblem(house, shares, [side]);
    if (gone) return gone;
    const { quarter, kind, tare, sideId } = input;
    const { gross, origin } = weight.value;
    const badTare = tareProblem({ gross, tare });
    if (badTare) return badTare;
    const whole = (await ticketsOfSides(house.db, [sideId])).findLast((each) => each.kind === kind);
    if (whole && gross - tare >= netOf(whole)) {
      const says = `${formatWeight((gross - tare) as Weight, 1)} ${unit}`;
      return refuse('more-than-there-is', `${says} is as much as the whole side weighs. Check it.`, 'gross');
    }
    const other = QUARTERS.find((each) => each !== quarter)!;
    const before = await quartersOfSides(house.db, [sideId]);
    const own = { clientId: input.clientId, gross: gross as Weight, tare: tare as Weight, origin };
    const at = doneAt(house, input.takenAt);
    const by = { at, actorId: house.actor.id };
    await writeQuarterWeight(house.db, { id: randomUUID(), ...own, sideId, quarter, kind, ...by });
    const partner = before.findLast((each) => each.quarter === other && each.kind === kind);
    if (!partner) {
      touchHolders(house, shares, side);
      return success({ sideId, other });
    }
    const taken = await takeTicket(house, {
      ...{ clientId: randomUUID(), sideId, kind, sure: input.sure, at },
      gross: gross + partner.gross,
      tare: tare + partner.tare,
      origin: origin === 'typed' || partner.origin === 'typed' ? 'typed' : 'scale',
      reason: 'weighed in quarters',
    });
    return taken.ok ? success({ sideId, other: null }) : taken;
  },
});
