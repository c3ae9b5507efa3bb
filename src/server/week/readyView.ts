import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { daysAfter, daysBetween, isDay, type Day } from '@/core/time/shopTime';
import { dayOfOneMore } from '@/core/week/earliest';
import { readyOn } from '@/core/week/ready';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE } from '../house/useCase';
import { readWeek } from './weekView';

/** What can be promised of an animal that is being booked; null where its days are too far ahead, or all are full. */
export type ReadyView = {
  readonly cutOn: Day | null;
  readonly fresh: Day | null;
  readonly cured: Day | null;
};

/** Minutes at bench and grinder to one at the block, before a sheet says more. */
const BENCH_TO_BLOCK = 0.9;

/** When an animal that is killed on a day would be cut, beside all that is planned, and from when it can be collected. */
export const readyView = defineUseCase<{ species: string; killDate: string }, ReadyView>({
  name: 'readyView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({
    species: Joi.string().max(40).required(),
    killDate: Joi.string()
      .custom((text: string, helpers) => (isDay(text) ? text : helpers.error('any.invalid')))
      .required(),
  }),
  run: async (house, { species: id, killDate }) => {
    const species = house.catalogue.species.find((each) => each.id === id);
    if (!species) return refuse('not-found', 'The shop cuts no such animal.');
    const { room, today } = await readWeek(house);
    const at = (day: Day) => daysBetween(today, day);
    const block = species.room.minutesPerAnimal;
    const on = dayOfOneMore(
      room,
      room.animals.map(({ was }) => was),
      {
        ...{ id: 'new', species: id, rite: '', promise: null, pinned: null, was: null },
        block,
        bench: Math.round(block * BENCH_TO_BLOCK),
        first: Math.max(0, at(daysAfter(killDate, 1))),
        target: at(daysAfter(killDate, species.hang.targetDays)),
        longest: at(daysAfter(killDate, species.hang.longestDays)),
      },
    );
    const cutOn = on === null ? null : room.days[on]!.day;
    return success({
      cutOn,
      fresh: cutOn && readyOn(cutOn, false),
      cured: cutOn && readyOn(cutOn, true),
    });
  },
});
