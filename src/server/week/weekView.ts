import Joi from 'joi';
import { outlineOf, type SideOutline } from '@/core/species/sideMapPath';
import { success } from '@/core/quantity/result';
import { dayIn, instant, type Day } from '@/core/time/shopTime';
import { weekStanding } from '@/core/week/journal';
import type { WeekRoom } from '@/core/week/room';
import { allUsers } from '@/data/people';
import { liveShares, readShareFiles } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { weekEvents } from '@/data/week';
import { defineUseCase, isOffice, STAFF, type House } from '../house/useCase';
import { weekRoomOf, type WeekAnimal } from './roomOf';

/** The weeks ahead: what there is of each day, what must be cut, and the plan that stands. */
export type WeekView = {
  /** ISO 8601, UTC. */
  readonly readAt: string;
  readonly today: Day;
  readonly room: WeekRoom;
  /** In the order of the room's. */
  readonly animals: readonly WeekAnimal[];
  /** Why a day is not as usual, by the day. */
  readonly why: Readonly<Record<string, string>>;
  /** Minutes of a usual day. */
  readonly usual: { readonly block: number; readonly bench: number };
  /** When the plan that stands was kept; empty before the first. */
  readonly plannedAt: string;
  /** How each species hangs, by its name. */
  readonly outlines: Readonly<Record<string, SideOutline>>;
};

export const weekView = defineUseCase<object, WeekView>({
  name: 'weekView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async (house) => {
    const { room, animals, standing, today, atBench } = await readWeek(house);
    const { blockMinutes } = house.setUp.rules;
    return success({
      readAt: instant(house.now),
      today,
      room,
      animals: isOffice(house.actor) ? animals : animals.map((each) => ({ ...each, phone: '' })),
      why: Object.fromEntries([...standing.hours].map(([day, { why }]) => [day, why])),
      usual: { block: blockMinutes, bench: blockMinutes * atBench },
      plannedAt: standing.plannedAt,
      outlines: Object.fromEntries(
        house.catalogue.species.map(({ id, sideMap }) => [id, outlineOf(sideMap)]),
      ),
    });
  },
});

/** The room of the weeks alone: what a search for the best week begins with. */
export const weekJobView = defineUseCase<object, WeekRoom>({
  name: 'weekJobView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async (house) => success((await readWeek(house)).room),
});

export async function readWeek(house: House) {
  const { db, setUps, setUp, now } = house;
  const { zone } = await readShop(db);
  const today = dayIn(zone, now);
  const shareIds = await liveShares(db, ['book', 'hang', 'sheet', 'wrap']);
  const files = (await readShareFiles(db, setUps, shareIds)).filter(
    ({ start, cancellation }) => start === undefined && cancellation === undefined,
  );
  const standing = weekStanding(await weekEvents(db));
  const hands = (await allUsers(db)).filter(({ role }) => role === 'wrapper' || role === 'smoker');
  const atBench = Math.max(1, hands.length);
  const ground = { today, zone, rules: setUp.rules, atBench, standing };
  return { ...weekRoomOf(files, ground), standing, today, atBench };
}
