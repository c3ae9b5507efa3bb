import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { WeekWord } from '@/core/week/journal';
import { costOfPlan } from '@/core/week/room';
import { success, type Result } from '@/core/quantity/result';
import { daysBetween, instant, isDay, type Day } from '@/core/time/shopTime';
import { writeWeekEvent } from '@/data/week';
import { clientId, id, words } from '../house/fields';
import { refuse, type Reason } from '../house/reasons';
import { defineUseCase, type House } from '../house/useCase';
import { readWeek } from './weekView';

const day = Joi.string()
  .custom((text: string, helpers) => (isDay(text) ? text : helpers.error('any.invalid')))
  .required();
const minutes = Joi.number().integer().min(0).max(5000).required();

const WORDS: Readonly<Record<WeekWord['kind'], Joi.Schema>> = {
  hours: Joi.object({ kind: Joi.any(), day, block: minutes, bench: minutes, why: words(120).required() }),
  usual: Joi.object({ kind: Joi.any(), day }),
  promise: Joi.object({ kind: Joi.any(), animalId: id, day: day.allow(null) }),
  pin: Joi.object({ kind: Joi.any(), animalId: id, day: day.allow(null) }),
  plan: Joi.object({
    kind: Joi.any(),
    on: Joi.object().pattern(Joi.string().guid(), day).max(500).required(),
  }),
};

/** By its kind, so that what is wrong with a word is said of its own fields. */
const word = Joi.object({ kind: Joi.valid(...Object.keys(WORDS)).required() })
  .unknown()
  .when('.kind', { switch: Object.entries(WORDS).map(([is, then]) => ({ is, then })) })
  .required();

/** What somebody says of the weeks ahead: hours of a day, a promise, a pin, or the plan that stands from now on. */
export const sayOfWeek = defineUseCase<{ clientId: string; word: WeekWord }, { readonly kind: string }>({
  name: 'sayOfWeek',
  roles: ['owner', 'counter', 'cutter'],
  writes: true,
  input: Joi.object({ clientId, word }),
  subject: ({ word: { kind } }) => kind,
  run: async (house, { clientId: requestId, word: said }) => {
    const sound = await whyNot(house, said);
    if (!sound.ok) return sound;
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeWeekEvent(house.db, { id: randomUUID(), clientId: requestId, word: said, ...by });
    return success({ kind: said.kind });
  },
});

/** A plan is kept when it can be done as things stand now: somebody may have weighed, booked or begun since. */
async function whyNot(house: House, said: WeekWord): Promise<Result<true, Reason>> {
  if (said.kind === 'hours' || said.kind === 'usual') return success(true);
  const { room, animals, today } = await readWeek(house);
  if (said.kind === 'promise' || said.kind === 'pin') {
    const animal = animals.find(({ animalId }) => animalId === said.animalId);
    if (!animal) return refuse('not-found', 'It hangs no more, or is on the block already.');
    const at = said.day === null ? -1 : daysBetween(today, said.day);
    if (said.kind === 'pin' && said.day !== null && !(room.days[at] && room.days[at].block > 0)) {
      return refuse(
        'not-yet',
        `Nothing is cut on ${said.day}: the shop is closed, or has no minutes.`,
        'day',
      );
    }
    return success(true);
  }
  const on = said.on as Readonly<Record<string, Day | undefined>>;
  const plan = room.animals.map(({ id: animalId }) => {
    const planned = on[animalId];
    return planned === undefined ? null : daysBetween(today, planned);
  });
  if (plan.some((at) => at !== null && !room.days[at])) {
    return refuse('not-yet', 'A day of this plan is over, or too far ahead. Plan again.');
  }
  return Number.isFinite(costOfPlan(room, plan))
    ? success(true)
    : refuse('not-yet', 'This plan cannot be done any more: something has changed since. Plan again.');
}
