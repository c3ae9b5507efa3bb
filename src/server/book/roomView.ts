import { group } from 'd3-array';
import Joi from 'joi';
import { roomOf } from '@/core/setUp/places';
import { nextDays, roomTaken, type DayRoom, type Hanging, type OpenDays } from '@/core/room/room';
import { success } from '@/core/quantity/result';
import { dayIn, daysAfter, type Day } from '@/core/time/shopTime';
import { liveRows } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { defineUseCase, OFFICE } from '../house/useCase';

/** What is taken of the coming days by what is booked and hangs, and how much there is. */
export type RoomView = {
  readonly today: Day;
  readonly days: readonly DayRoom[];
  /** Feet of all the rails that are named; 0 when none is. */
  readonly feet: number;
  readonly minutes: number;
  readonly week: OpenDays;
  readonly killDays: readonly Day[];
};

/** So far somebody looks while somebody is on the line: a steer hangs two weeks, and is killed in the next. */
const DAYS_AHEAD = 28;
const KILL_DAYS = 8;

/** Stages whose animals still hang. */
const HANGING = ['book', 'hang', 'sheet', 'wrap'];

export const roomView = defineUseCase<object, RoomView>({
  name: 'roomView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({}),
  run: async ({ db, now, catalogue, setUp }) => {
    const { zone } = await readShop(db);
    const today = dayIn(zone, now);
    const { week: days, holidays, blockMinutes } = setUp.rules;
    const week = { open: days.open, holidays };
    const rows = (await liveRows(db)).filter(
      (row) => HANGING.includes(row.stage) && !row.onBlock && row.broken === '',
    );
    const room = new Map(catalogue.species.map((species) => [species.name, species.room]));
    const hanging = [...group(rows, (row) => row.animalId).values()].map(([row]): Hanging => {
      const { feetPerSide, minutesPerAnimal } = room.get(row!.species) ?? {
        feetPerSide: 0,
        minutesPerAnimal: 0,
      };
      // What is late hangs on until somebody cuts it: today at the earliest.
      const targetDay = row!.targetDay < today ? today : row!.targetDay;
      return { feet: 2 * feetPerSide, minutes: minutesPerAnimal, killDate: row!.killDate, targetDay };
    });
    const ahead = Array.from({ length: DAYS_AHEAD }, (_, later) => daysAfter(today, later));
    return success({
      today,
      days: roomTaken(ahead, hanging, week),
      feet: roomOf(setUp.places, 'rail'),
      minutes: blockMinutes,
      week,
      killDays: nextDays(today, days.kill, week, KILL_DAYS),
    });
  },
});
