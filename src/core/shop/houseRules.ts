import Joi from 'joi';

/** How a shop works, whatever the animal. Every change is a new version; finished orders keep theirs. */
export type HouseRules = {
  readonly version: number;
  /** Tools the shop has, such as `band-saw`. */
  readonly tools: readonly string[];
  /** From which part of the cold weight a gap is asked about, and from which it is investigated; basis points. */
  readonly unaccounted: { readonly askBp: number; readonly investigateBp: number };
  /** Until a side has hung this long it is chilled and not cut. */
  readonly chillHours: number;
  /** What the bench scale carries, in pounds: more was never on it. */
  readonly benchLb: number;
  /** The shop's day on its own clock, `HH:mm`: cutting begins, calls are made by, doors close. */
  readonly hours: { readonly block: string; readonly calls: string; readonly close: string };
};

/** Usual up to 3 % of the cold weight, to be investigated above 5 % or below zero; a day of chilling; a 30 lb bench. */
export const USUAL_RULES: HouseRules = {
  version: 1,
  tools: ['band-saw'],
  unaccounted: { askBp: 300, investigateBp: 500 },
  chillHours: 24,
  benchLb: 30,
  hours: { block: '08:30', calls: '12:00', close: '17:00' },
};

const hour = Joi.string()
  .pattern(/^([01]\d|2[0-3]):[0-5]\d$/, { name: 'a time such as 08:30' })
  .required();

export const houseRulesSchema = Joi.object<HouseRules>({
  version: Joi.number().integer().min(1).required(),
  tools: Joi.array().items(Joi.string().max(40)).unique().required(),
  unaccounted: Joi.object({
    askBp: Joi.number().integer().min(0).max(10_000).required(),
    investigateBp: Joi.number().integer().min(Joi.ref('askBp')).max(10_000).required(),
  }).required(),
  chillHours: Joi.number().min(0).max(72).required(),
  benchLb: Joi.number().greater(0).max(2000).required(),
  hours: Joi.object({ block: hour, calls: hour, close: hour }).required(),
});
