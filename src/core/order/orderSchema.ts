import Joi from 'joi';
import { INSPECTION_CLASSES } from '../label/label';
import { PARTS } from '../shares/parts';
import { WRAPS } from '../sheet/types';
import { GRIND_FORMS, RITES } from '../species/types';
import { isDay } from '../time/shopTime';
import type { Catalogue } from '../catalogue/catalogue';

/** People's names and tags are kept as they are said; only control characters are refused. */
const words = (most: number) =>
  Joi.string()
    .trim()
    .min(1)
    .max(most)
    .pattern(/^[^\p{Cc}]*$/u, { name: 'text without control characters' });

export const personSchema = Joi.object({
  name: words(80).required(),
  phone: words(40),
  email: words(120).email({ tlds: false }),
});

const positive = Joi.number().greater(0).max(2000);

const eachSide = Joi.boolean();

const formSchema = Joi.object({
  option: words(60).required(),
  amount: Joi.alternatives().try(
    Joi.valid('rest'),
    Joi.object({ sharePct: Joi.number().greater(0).max(100).required() }),
    Joi.object({ packs: Joi.number().integer().positive().max(999).required(), eachSide }),
    Joi.object({ pieces: Joi.number().integer().positive().max(999).required(), eachSide }),
    Joi.object({ weight: positive.required(), eachSide }),
    Joi.object({ inches: Joi.number().greater(0).max(120).required() }),
  ),
  params: Joi.object().pattern(words(40), Joi.alternatives().try(Joi.number(), Joi.boolean(), words(40))),
  otherwise: words(60),
});

const answersSchema = Joi.object().pattern(words(60), Joi.array().min(1).max(6).items(formSchema));

const sheetDocumentSchema = Joi.object({
  houseForTheRest: Joi.boolean(),
  answers: answersSchema,
  secondSide: answersSchema,
  keeps: Joi.object().pattern(words(40), Joi.boolean()),
  grind: Joi.object({
    fatPct: Joi.number().min(0).max(60),
    lines: Joi.array()
      .min(1)
      .max(8)
      .items(
        Joi.object({
          recipe: words(40).required(),
          form: Joi.valid(...GRIND_FORMS).required(),
          amount: Joi.alternatives().try(Joi.valid('rest'), Joi.object({ weight: positive.required() })),
          packWeight: positive,
          size: words(40),
        }),
      ),
    picked: Joi.boolean(),
  }),
  offal: Joi.array().max(20).items(words(40)).unique(),
  wrap: Joi.valid(...WRAPS),
  instructions: Joi.string().allow('').max(500),
});

const shareSchema = Joi.object({
  part: Joi.valid(...PARTS).required(),
  sharePct: Joi.number().greater(0).max(100),
  owner: personSchema.required(),
  payer: personSchema,
  contact: personSchema,
  deposit: Joi.number().min(0).max(100_000).precision(2),
  sheet: sheetDocumentSchema,
});

const sideWeights = Joi.object({ hot: positive, cold: positive });

const sharePerAtom = Joi.object().pattern(words(40), Joi.number().min(0).max(1));

const carcassSchema = Joi.object({
  school: words(40),
  breaks: Joi.object().pattern(words(40), words(40)),
  condition: Joi.object({
    type: words(40),
    fatness: Joi.number().greater(0).max(10),
    eyeSqIn: Joi.number().greater(0).max(40),
    skinned: Joi.boolean(),
    rite: Joi.valid(...RITES),
    flags: Joi.array().items(words(40)).unique(),
    missing: sharePerAtom,
    condemned: sharePerAtom,
    spinePct: Joi.number().min(20).max(80),
    carries: Joi.object().pattern(words(40), Joi.boolean()),
    daysHung: Joi.number().integer().min(0).max(120),
    thinCover: Joi.boolean(),
  }),
});

/** The open order file, `schemas/order.schema.json` in the language of the server, for the species of a catalogue. */
export function orderSchema({ species }: Catalogue): Joi.ObjectSchema {
  return (
    Joi.object({
      $schema: Joi.string().max(200),
      format: Joi.valid('fractum.order').required(),
      version: Joi.valid(1).required(),
      unit: Joi.valid('lb', 'kg').required(),
      farm: personSchema.required(),
      animal: Joi.object({
        tag: words(30).required(),
        species: Joi.valid(...species.map((each) => each.id)).required(),
        sex: words(30),
        killDate: Joi.string()
          .label('killDay')
          .pattern(/^\d{4}-\d{2}-\d{2}$/, { name: 'a date like 2026-11-24' })
          .custom((day: string, helpers) => (isDay(day) ? day : helpers.error('animal.date')))
          .required(),
        inspection: Joi.valid(...INSPECTION_CLASSES).required(),
        facts: Joi.object({
          breed: words(40),
          months: Joi.number().integer().min(0).max(400),
          grade: words(20),
          liveWeight: Joi.number().greater(0).max(4000),
        }),
        unsplit: Joi.boolean(),
        addOns: Joi.array().items(words(40)).unique(),
        carcass: carcassSchema,
      }).required(),
      shares: Joi.array().min(1).max(16).items(shareSchema).required(),
      unsold: Joi.array()
        .max(16)
        .items(
          Joi.object({
            part: Joi.valid(...PARTS).required(),
            sharePct: Joi.number().greater(0).max(100),
          }),
        ),
      weights: Joi.object({ left: sideWeights, right: sideWeights }),
    })
      .messages({ 'animal.date': '{#label} is not a day of the calendar.' })
      // As the published schema judges: a number in quotes is no number.
      .prefs({ convert: false })
  );
}
