import Joi from 'joi';
import { AMOUNTS, type Goal } from './goals';
import type { Want } from './wanted';

const wish = Joi.alternatives(
  Joi.object({ kind: Joi.valid('most').required(), of: Joi.valid(...AMOUNTS).required() }),
  Joi.object({ kind: Joi.valid('least').required(), of: Joi.valid('bill', 'freezer').required() }),
  Joi.object({ kind: Joi.valid('keep').required(), decision: Joi.string().max(60).required() }),
  Joi.object({ kind: Joi.valid('noBones').required() }),
  Joi.object({ kind: Joi.valid('fatAtMost').required(), pct: Joi.number().min(1).max(60).required() }),
  Joi.object({
    kind: Joi.valid('freezerAtMost').required(),
    cuFt: Joi.number().greater(0).max(100).required(),
  }),
  Joi.object({
    kind: Joi.valid('billAtMost').required(),
    cents: Joi.number().integer().min(0).max(10_000_000).required(),
  }),
  Joi.object({
    kind: Joi.valid('roastsAtLeast').required(),
    count: Joi.number().integer().min(1).max(200).required(),
  }),
).required();

/** Wishes as they come over the wire: some, and not too many. */
export const goalsSchema = Joi.array<Goal[]>()
  .items(
    Joi.object({
      wish,
      must: Joi.boolean().required(),
      weight: Joi.number().min(0.1).max(10).required(),
    }),
  )
  .min(1)
  .max(12);

export const wantSchema = Joi.object<Want>({
  cut: Joi.string().trim().min(1).max(120).required(),
  packs: Joi.number().integer().min(0).max(9999).required().label('packs wanted'),
  inFreezer: Joi.number().integer().min(0).max(9999).required().label('packs in the freezer'),
});
