import Joi from 'joi';
import { DESTINATIONS, TISSUES } from './types';

/** What the fields of a species' data are made of. */

export const id = Joi.string()
  .pattern(/^[a-z0-9][a-z0-9-]*$/i, { name: 'an id of letters, digits and dashes' })
  .max(60);
export const words = Joi.string().trim().min(1).max(300);
export const share = Joi.number().min(0).max(1);
export const percent = Joi.number().min(0).max(100);
export const pounds = Joi.number().greater(0).max(2000);
export const inches = Joi.number().greater(0).max(200);

export const span = Joi.array().ordered(words.required(), words.required());
export const destination = Joi.valid(...DESTINATIONS);

export function tissues(amount: Joi.NumberSchema) {
  return Joi.object(Object.fromEntries(TISSUES.map((tissue) => [tissue, amount.required()])));
}
