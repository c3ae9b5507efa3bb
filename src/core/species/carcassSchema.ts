import Joi from 'joi';
import { id, percent, pounds, share, words } from './schemaParts';
import { TISSUES } from './types';

/** The shapes of breaks, schools, shifts and types. */

const move = Joi.object({ from: id.required(), to: id.required(), share });

export const broken = Joi.object({
  id: id.required(),
  title: words.required(),
  reference: words.required(),
  places: Joi.array()
    .items(
      Joi.object({
        id: words.required(),
        label: words.required(),
        behind: words,
        moves: Joi.array().items(move),
      }).xor('behind', 'moves'),
    )
    .unique('id')
    .min(2)
    .required(),
  foreToHind: Joi.array().items(move),
  hindToFore: Joi.array().items(move),
  note: words,
});

export const school = Joi.object({
  id: id.required(),
  name: words.required(),
  breaks: Joi.object().pattern(id, words).required(),
  names: Joi.object().pattern(words, words).required(),
  house: Joi.object().pattern(id, id),
  note: words,
});

const points = Joi.object(
  Object.fromEntries(TISSUES.map((tissue) => [tissue, Joi.number().min(-100).max(100)])),
);

export const shifts = Joi.object({
  fatness: Joi.object({
    label: words.required(),
    unit: words.required(),
    reference: Joi.number().greater(0).required(),
    min: Joi.number().min(0).required(),
    max: Joi.number().greater(Joi.ref('min')).required(),
    points,
    sensitivity: Joi.object({
      atoms: Joi.object().pattern(id, Joi.number().min(0)).required(),
      others: Joi.number().min(0).required(),
    }),
  })
    .xor('points', 'sensitivity')
    .required(),
  perSideLb: points,
  perSideLbUnknownFatness: points,
  sideLb: Joi.array().ordered(pounds.required(), pounds.required()).required(),
  fatPct: Joi.array().ordered(percent.required(), percent.required()).required(),
  eye: Joi.object({
    referenceSqIn: Joi.number().greater(0).required(),
    atoms: Joi.array().items(id).min(1).required(),
  }),
});

export const carcassType = Joi.object({
  id: id.required(),
  label: words.required(),
  target: points,
  points,
  tissues: Joi.object(Object.fromEntries(TISSUES.map((tissue) => [tissue, Joi.number().greater(0).max(5)]))),
  atoms: Joi.object().pattern(id, Joi.number().min(0).max(5)),
  fatness: Joi.number().greater(0),
  eyeSqIn: Joi.number().greater(0),
  lengthFactor: Joi.number().greater(0).max(2),
  lipidLean: share,
  coverShift: Joi.number().min(-1).max(1),
  spread: Joi.number().greater(0).max(5),
  sideLb: Joi.array().ordered(pounds.required(), pounds.required()),
  house: Joi.object().pattern(id, id),
  note: words,
});
