import Joi from 'joi';
import { isDay } from '../time/shopTime';
import { BASES, PAYERS, type PriceList, type Tier } from './priceList';

const centsField = Joi.number().integer().min(0).max(10_000_000);

function isClimbing(tiers: readonly Tier[]): boolean {
  return tiers.every(({ above }, at) => at === 0 || above > tiers[at - 1]!.above);
}

/** The open price list file: dated rules, each with its basis. */
export const priceListSchema = Joi.object<PriceList>({
  id: Joi.string().max(60).required(),
  name: Joi.string().max(80).required(),
  effectiveFrom: Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/, { name: 'a date like 2026-11-24' })
    .custom((day: string, helpers) => (isDay(day) ? day : helpers.error('list.day')))
    .required(),
  unit: Joi.valid('lb', 'kg').required(),
  currency: Joi.string().length(3).uppercase().required(),
  sign: Joi.string().max(4).required(),
  minimumCents: centsField.required(),
  taxBp: Joi.number().integer().min(0).max(10_000).required(),
  roundCents: Joi.number().integer().min(1).max(1000),
  rules: Joi.array()
    .min(1)
    .unique('id')
    .messages({ 'array.unique': 'The id "{#value.id}" is given to two rules.' })
    .items(
      Joi.object({
        id: Joi.string().max(60).required(),
        label: Joi.string().max(80).required(),
        basis: Joi.valid(...BASES).required(),
        rateCents: centsField.required(),
        key: Joi.string().max(120),
        taxable: Joi.boolean(),
        tiers: Joi.array()
          .min(1)
          .max(12)
          .items(
            Joi.object({
              above: Joi.number().greater(0).max(2000).required(),
              rateCents: centsField.required(),
            }),
          )
          .custom((tiers: Tier[], helpers) => (isClimbing(tiers) ? tiers : helpers.error('list.tiers'))),
        species: Joi.array().min(1).max(20).unique().items(Joi.string().max(40)),
        payer: Joi.valid(...PAYERS),
      }),
    )
    .required(),
})
  .messages({
    'list.day': '{#label} is not a day of the calendar.',
    'list.tiers': '{#label} begin with the lightest, each above another weight.',
  })
  .prefs({ convert: false });
