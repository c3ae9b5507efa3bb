import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { SideId } from '@/core/order/animal';
import { animalHotWeight } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import { bookedWith, sideById } from '@/data/book';
import { ticketsOfSides, writeLiveWeight } from '@/data/hang';
import { readShareFiles } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { clientId, id, sure, thousandths } from '../house/fields';
import { refuse } from '../house/reasons';
import { doneAt, takenAt } from '../house/takenAt';
import { defineUseCase } from '../house/useCase';
import { readingSchema } from '../wrap/reading';
import { RAIL_HANDS } from './rails';
import { tareProblem, weighed, type OnScale } from './weighSide';

/** Thousandths; the heaviest bull is under it. */
const HEAVIEST = 4_000_000;

type Input = OnScale & {
  readonly clientId: string;
  readonly sideId: SideId;
  readonly tare: number;
  readonly sure: boolean;
  readonly takenAt?: string;
};

/** A carcass is at least this part of the animal alive, and at most that: beyond it one of the weights is wrong. */
const DRESSING = { least: 0.4, most: 0.85 } as const;

/** What an animal weighed alive, on the shop's own scale; it goes before what the farm said. */
export const noteLiveWeight = defineUseCase<Input, { live: Weight }>({
  name: 'noteLiveWeight',
  roles: RAIL_HANDS,
  writes: true,
  input: Joi.object({
    clientId,
    sideId: id,
    gross: Joi.number().integer().positive().max(HEAVIEST),
    reading: readingSchema,
    tare: thousandths.required(),
    sure,
    takenAt,
  }).xor('gross', 'reading'),
  subject: ({ sideId }) => `live ${sideId}`,
  run: async (house, input) => {
    const { unit } = await readShop(house.db);
    const weight = weighed(house, input, unit);
    if (!weight.ok) return weight;
    const side = await sideById(house.db, input.sideId);
    if (!side) return refuse('not-found', 'There is no such side on the rail.');
    const { gross, origin } = weight.value;
    const badTare = tareProblem({ gross, tare: input.tare });
    if (badTare) return badTare;
    const live = (gross - input.tare) as Weight;
    const { shares, sides } = await bookedWith(house.db, [side.animalId]);
    const tickets = await ticketsOfSides(
      house.db,
      sides.map((each) => each.id),
    );
    const [file] = await readShareFiles(
      house.db,
      house.setUps,
      shares.filter(({ cancelled }) => !cancelled).map((share) => share.id),
    );
    const hot = file && tickets.length > 0 ? animalHotWeight(file) : undefined;
    if (hot !== undefined && hot >= live) {
      const says = `${formatWeight(hot, 1)} ${unit} hangs already`;
      return refuse(
        'not-that-animal',
        `${says}: alive it weighed more. Check tag and decimal point.`,
        'gross',
      );
    }
    if (hot !== undefined && !input.sure && (hot < live * DRESSING.least || hot > live * DRESSING.most)) {
      const says = `${Math.round((100 * hot) / live)} % of ${formatWeight(live, 1)} ${unit} alive would hang.`;
      return refuse('unusual', `${says} Are both weights right?`, 'gross');
    }
    await writeLiveWeight(house.db, {
      ...{ id: randomUUID(), clientId: input.clientId, animalId: side.animalId },
      ...{ gross: gross as Weight, tare: input.tare as Weight, origin },
      ...{ at: doneAt(house, input.takenAt), actorId: house.actor.id },
    });
    for (const share of shares) house.touch(share.id);
    return success({ live });
  },
});
