import Joi from 'joi';
import { CURE_CLASSES, USUAL_NITRITE, type NitriteRules } from '../curing/limits';
import { BARRELS, type Barrel } from '../ledger/ledger';
import type { LabelRules } from '../label/label';
import { LABEL_SIZES } from '../label/sizes';
import { isDay, type Day } from '../time/shopTime';

/** How a shop works, whatever the animal. Every change is a new version; finished orders keep theirs. */
export type HouseRules = LabelRules & {
  readonly version: number;
  /** Tools the shop has, such as `band-saw`. */
  readonly tools: readonly string[];
  /** From which part of the cold weight a gap is asked about, and from which it is investigated; basis points. */
  readonly unaccounted: { readonly askBp: number; readonly investigateBp: number };
  /** Until a side has hung this long it is chilled and not cut. */
  readonly chillHours: number;
  /** What the bench scale carries, in pounds: more was never on it. */
  readonly benchLb: number;
  /** What packs are weighed on or in, by name, with what it weighs in pounds: taken off at a key. */
  readonly trays: readonly { readonly name: string; readonly lb: number }[];
  /** Where each barrel goes, in the shop's words. */
  readonly barrels: Readonly<Record<Barrel, string>>;
  /** The shop's day on its own clock, `HH:mm`: cutting begins, calls are made by, doors close. */
  readonly hours: { readonly block: string; readonly calls: string; readonly close: string };
  /** Days before a side is due on the block by which its sheet must stand. */
  readonly sheetDays: number;
  /** What happens when nobody answers by then: the share waits, or the house's way is taken after so many calls. */
  readonly noAnswer: { readonly does: 'wait' | 'house'; readonly calls: number };
  /** Days that boxes may wait for whoever collects them. */
  readonly storageDays: number;
  /** Days of the week, 1 for Monday to 7 for Sunday. */
  readonly week: {
    readonly open: readonly number[];
    readonly kill: readonly number[];
    readonly pickUp: readonly number[];
  };
  /** Days on which the shop is closed. */
  readonly holidays: readonly Day[];
  /** Minutes of cutting in a day. */
  readonly blockMinutes: number;
  /** The most nitrite that each class of cured meat may have; the plan, the inspector and local code stand above. */
  readonly nitrite: NitriteRules;
};

/**
 * Usual up to 3 % of the cold weight, to be investigated above 5 % or below zero; a day of chilling; a 30 lb bench, a tray and a bag; a
 * sheet the day before, waited for; a week in the freezer; seven hours of cutting.
 */
export const USUAL_RULES: HouseRules = {
  version: 1,
  tools: ['band-saw'],
  unaccounted: { askBp: 300, investigateBp: 500 },
  chillHours: 24,
  benchLb: 30,
  trays: [
    { name: 'Tray', lb: 0.06 },
    { name: 'Bag', lb: 0.02 },
  ],
  barrels: {
    bone: 'the renderer',
    fat: 'the renderer',
    skin: 'the renderer',
    inedible: 'waste, dyed, as the code says',
  },
  hours: { block: '08:30', calls: '12:00', close: '17:00' },
  sheetDays: 1,
  noAnswer: { does: 'wait', calls: 2 },
  storageDays: 7,
  week: { open: [1, 2, 3, 4, 5], kill: [1, 4], pickUp: [1, 2, 3, 4, 5] },
  holidays: [],
  blockMinutes: 420,
  nitrite: USUAL_NITRITE,
  labelNote: '',
  labelSize: '4x3',
  labelDate: 'Keep frozen, best by',
  labelFarm: true,
};

const hour = Joi.string()
  .pattern(/^([01]\d|2[0-3]):[0-5]\d$/, { name: 'a time such as 08:30' })
  .required();

const goesTo = Joi.string().trim().min(1).max(40).required();

/** No plan of any shop needs more. */
const ppm = Joi.number().integer().min(0).max(1000).required();

const weekdays = Joi.array().items(Joi.number().integer().min(1).max(7)).unique().min(1).required();

const day = Joi.string().custom((said: string, helpers) => (isDay(said) ? said : helpers.error('day')));

/** The rules one by one, so that a change of some is checked by the same shapes. */
export const houseRuleFields = {
  tools: Joi.array().items(Joi.string().max(40)).unique(),
  unaccounted: Joi.object({
    askBp: Joi.number().integer().min(0).max(10_000).required(),
    investigateBp: Joi.number().integer().min(Joi.ref('askBp')).max(10_000).required(),
  }),
  chillHours: Joi.number().min(0).max(72),
  benchLb: Joi.number().greater(0).max(2000),
  trays: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().trim().min(1).max(20).required(),
        lb: Joi.number().greater(0).max(5).required(),
      }),
    )
    .unique('name')
    .max(6),
  barrels: Joi.object(Object.fromEntries(BARRELS.map((barrel) => [barrel, goesTo]))),
  hours: Joi.object({ block: hour, calls: hour, close: hour }),
  sheetDays: Joi.number().integer().min(0).max(30),
  noAnswer: Joi.object({
    does: Joi.valid('wait', 'house').required(),
    calls: Joi.number().integer().min(0).max(20).required(),
  }),
  storageDays: Joi.number().integer().min(1).max(365),
  week: Joi.object({ open: weekdays, kill: weekdays, pickUp: weekdays }),
  holidays: Joi.array()
    .items(day)
    .unique()
    .max(100)
    .messages({ day: '{#label} is no date. Write 2026-12-25.' }),
  blockMinutes: Joi.number().integer().min(30).max(5000),
  nitrite: Joi.object({
    ppm: Joi.object(Object.fromEntries(CURE_CLASSES.map((of) => [of, ppm]))).required(),
    strict: Joi.boolean().required(),
    warnUnder: Joi.number().integer().min(0).max(200).required(),
  }),
  labelNote: Joi.string().trim().max(60).allow(''),
  labelSize: Joi.valid(...LABEL_SIZES),
  labelDate: Joi.string().trim().min(1).max(40),
  labelFarm: Joi.boolean(),
};

export const houseRulesSchema = Joi.object<HouseRules>({
  version: Joi.number().integer().min(1).required(),
  ...houseRuleFields,
}).prefs({ presence: 'required' });
