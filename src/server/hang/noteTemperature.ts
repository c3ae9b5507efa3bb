import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { SideId } from '@/core/order/animal';
import { degreesWords, isCold, toTenthsF } from '@/core/order/deepTemperature';
import { success, type Result } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { bookedWith, sideById } from '@/data/book';
import { writeDeepTemperature } from '@/data/hang';
import { readShop } from '@/data/setUp';
import { clientId, id } from '../house/fields';
import { refuse, type Reason } from '../house/reasons';
import { defineUseCase, type House } from '../house/useCase';
import { touchHolders } from './holders';
import { RAIL_HANDS } from './rails';

type Input = {
  readonly clientId: string;
  readonly sideId: SideId;
  /** Degrees of the shop's scale, typed while the probe is away; the probe is asked when nothing is typed. */
  readonly typed?: number;
};

/** Takes how warm a side is inside, from the probe: what is cold by it is chilled, what is warm is not, whatever the clock says. */
export const noteTemperature = defineUseCase<Input, { words: string; cold: boolean }>({
  name: 'noteTemperature',
  roles: RAIL_HANDS,
  writes: true,
  input: Joi.object({ clientId, sideId: id, typed: Joi.number().min(-40).max(140) }),
  subject: ({ sideId, typed }) => `${sideId} ${typed ?? 'by the probe'}`,
  run: async (house, { clientId: requestId, sideId, typed }) => {
    const side = await sideById(house.db, sideId);
    if (!side) return refuse('not-found', 'There is no such side on the rail.');
    const { unit } = await readShop(house.db);
    const scale = unit === 'lb' ? 'F' : 'C';
    const read =
      typed === undefined ? await probed(house) : success(toTenthsF(Math.round(typed * 10), scale));
    if (!read.ok) return read;
    const tenthsF = read.value;
    await writeDeepTemperature(house.db, {
      ...{ id: randomUUID(), clientId: requestId, sideId, tenthsF },
      origin: typed === undefined ? 'probe' : 'typed',
      ...{ at: instant(house.now), actorId: house.actor.id },
    });
    const { shares } = await bookedWith(house.db, [side.animalId]);
    touchHolders(house, shares, side);
    return success({ words: degreesWords(tenthsF, unit), cold: isCold({ tenthsF }) });
  },
});

async function probed({ devices }: House): Promise<Result<number, Reason>> {
  const reading = await devices.probe.read().catch(() => undefined);
  if (!reading) {
    return refuse('scale-away', 'The probe does not answer. Check that it is on, or type what it shows.');
  }
  if (!reading.steady) {
    return refuse('not-steady', 'The probe is still moving. Leave it in, and take it when it stands still.');
  }
  return success(toTenthsF(reading.tenths, reading.scale));
}
