import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { speciesIn } from '@/core/catalogue/catalogue';
import { onRailAfter, RAIL_DOES, type RailEvent } from '@/core/order/onRail';
import type { SideId } from '@/core/order/animal';
import { fits } from '@/core/room/railPlan';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { bookedWith, sideById } from '@/data/book';
import { railEventsOf, writeRailEvent } from '@/data/hang';
import { clientId, id, words } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { defineUseCase, type House } from '../house/useCase';
import { touchHolders } from './holders';
import { RAIL_HANDS, railsOf, sidesHanging } from './rails';

type Input = {
  readonly clientId: string;
  readonly sideId: SideId;
  readonly kind: RailEvent['kind'];
  /** Of a move. */
  readonly rail: string;
  readonly foot: number | null;
  readonly reason: string;
};

/** Something is done to a side while it hangs: moved to a foot of a rail, covered or bared, held with a reason, let go. */
export const doOnRail = defineUseCase<Input, { sideId: SideId }>({
  name: 'doOnRail',
  roles: RAIL_HANDS,
  writes: true,
  input: Joi.object({
    clientId,
    sideId: id,
    kind: Joi.valid(...RAIL_DOES).required(),
    rail: Joi.string().max(40).allow('').default(''),
    foot: Joi.number().min(0).max(1000).allow(null).default(null),
    reason: Joi.when('kind', {
      is: 'held',
      then: words(200).required(),
      otherwise: words(200).allow(''),
    }).default(''),
  }),
  subject: ({ sideId, kind, rail, foot }) => `${sideId} ${kind} ${rail} ${foot ?? ''}`.trim(),
  run: async (house, input) => {
    const side = await sideById(house.db, input.sideId);
    if (!side) return refuse('not-found', 'There is no such side on the rail.');
    const { sideId, kind, rail, foot, reason, clientId: requestId } = input;
    const refused = kind === 'moved' ? await moveProblem(house, input) : undefined;
    if (refused) return refused;
    await writeRailEvent(house.db, {
      ...{ id: randomUUID(), clientId: requestId, sideId, kind, reason },
      rail: kind === 'moved' ? rail : '',
      foot: kind === 'moved' ? foot : null,
      ...{ at: instant(house.now), actorId: house.actor.id },
    });
    const { shares } = await bookedWith(house.db, [side.animalId]);
    touchHolders(house, shares, side);
    return success({ sideId });
  },
});

/** A side is hung where there is a rail, and nothing else. */
async function moveProblem(
  house: House,
  { sideId, rail: railId, foot }: Input,
): Promise<Refusal | undefined> {
  const rail = railsOf(house.setUp).find((each) => each.id === railId);
  if (!rail || foot === null)
    return refuse('not-found', 'There is no such rail. Name it among the places of the shop.', 'rail');
  const hanging = await sidesHanging(house);
  const own = hanging.find((each) => each.side.id === sideId);
  const feet = own?.feet ?? (await feetOf(house, sideId));
  const others = hanging.filter((each) => each.side.id !== sideId && each.onRail.at?.rail === railId);
  const taken = others.map((each) => ({ from: each.onRail.at!.foot, feet: each.feet, tag: each.tag }));
  if (fits(rail, taken, { from: foot, feet })) return undefined;
  const who = taken.find((each) => !fits({ ...rail, feet: 1e6 }, [each], { from: foot, feet }));
  return refuse(
    'no-room',
    who ? `There hangs ${who.tag}. Choose another foot.` : `${rail.name} has ${rail.feet} feet.`,
    'foot',
  );
}

async function feetOf(house: House, sideId: SideId): Promise<number> {
  const side = await sideById(house.db, sideId);
  const { animals } = await bookedWith(house.db, [side!.animalId]);
  return speciesIn(house.catalogue, animals.get(side!.animalId)!.species).room.feetPerSide;
}

/** Why a side is held; empty when none of these is. */
export async function heldOf(house: House, sideIds: readonly SideId[]): Promise<string> {
  const events = await railEventsOf(house.db, sideIds);
  return (
    sideIds
      .map((sideId) => onRailAfter(events.filter((each) => each.sideId === sideId)).held)
      .find((held) => held !== '') ?? ''
  );
}
