import Joi from 'joi';
import { GRIND_FORMS } from '../species/types';
import { WRAPS } from './types';

const wholeWeight = Joi.number().integer().positive().max(2_000_000);

const amountSchema = Joi.alternatives().try(
  Joi.object({ kind: Joi.valid('rest').required() }),
  Joi.object({ kind: Joi.valid('share').required(), pct: Joi.number().greater(0).max(100).required() }),
  Joi.object({
    kind: Joi.valid('packs', 'pieces').required(),
    count: Joi.number().integer().positive().max(999).required(),
    eachSide: Joi.boolean(),
  }),
  Joi.object({
    kind: Joi.valid('weight').required(),
    weight: wholeWeight.required(),
    eachSide: Joi.boolean(),
  }),
  Joi.object({ kind: Joi.valid('length').required(), inches: Joi.number().greater(0).max(120).required() }),
);

/** The shape of one answer. */
export const answerSchema = Joi.object({
  forms: Joi.array()
    .min(1)
    .max(6)
    .items(
      Joi.object({
        option: Joi.string().max(60).required(),
        amount: amountSchema.required(),
        params: Joi.object()
          .pattern(
            Joi.string().max(40),
            Joi.alternatives().try(Joi.number(), Joi.boolean(), Joi.string().max(40)),
          )
          .required(),
        otherwise: Joi.string().max(60),
      }),
    )
    .required(),
});

const answersSchema = Joi.object().pattern(Joi.string().max(60), answerSchema);

/** The shape of a sheet; whether its species knows the answers is for `sheetProblems`. */
export const sheetSchema = Joi.object({
  species: Joi.string().max(40).required(),
  answers: answersSchema.required(),
  secondSide: answersSchema.required(),
  keeps: Joi.object().pattern(Joi.string().max(40), Joi.boolean()).required(),
  offal: Joi.array().max(20).unique().items(Joi.string().max(40)),
  grind: Joi.object({
    fatPct: Joi.number().min(0).max(60).required(),
    lines: Joi.array()
      .min(1)
      .max(8)
      .items(
        Joi.object({
          recipe: Joi.string().max(40).required(),
          form: Joi.valid(...GRIND_FORMS).required(),
          amount: Joi.alternatives()
            .try(
              Joi.object({ kind: Joi.valid('rest').required() }),
              Joi.object({ kind: Joi.valid('weight').required(), weight: wholeWeight.required() }),
            )
            .required(),
          packWeight: wholeWeight.required(),
          size: Joi.string().max(40),
        }),
      )
      .required(),
    picked: Joi.boolean(),
  }).required(),
  wrap: Joi.valid(...WRAPS).required(),
  instructions: Joi.string().allow('').max(500).required(),
});
