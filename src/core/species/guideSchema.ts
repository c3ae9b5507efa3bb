import Joi from 'joi';
import { id, words } from './schemaParts';

const ids = Joi.array().items(id);
const options = Joi.object().pattern(id, ids.min(1)).min(1);
const minutes = Joi.number().greater(0).max(600).required();

const piece = Joi.object({
  id: id.required(),
  label: words.max(20).required(),
  part: Joi.valid('fore', 'hind'),
  primals: Joi.array().items(words).min(1).required(),
});

const stop = Joi.object({ wishes: options, flag: id, says: words.required(), because: words.required() }).or(
  'wishes',
  'flag',
);

const step = Joi.object({
  id: id.required(),
  title: words.max(34).required(),
  part: Joi.valid('fore', 'hind', 'both').required(),
  schools: ids.min(1),
  except: ids.min(1),
  needs: options,
  where: words.required(),
  with: words.required(),
  hand: words,
  level: Joi.valid(1, 2, 3),
  first: Joi.boolean(),
  break: id,
  line: Joi.object({ saw: ids.min(1), knife: ids.min(1) }).or('saw', 'knife'),
  stays: ids.min(1),
  opens: ids.required(),
  weigh: ids.min(1),
  protect: words.required(),
  wrong: words.required(),
  look: words.required(),
  caution: words.required(),
  ask: Joi.array().ordered(words.required(), words.required()).required(),
  minutes: Joi.array().ordered(minutes, minutes).required(),
  stops: Joi.array().items(stop).min(1),
});

/** The shape of a guide to the break; what it says of the species is for `guideProblems`. */
export const guide = Joi.object({
  pieces: Joi.array().items(piece).unique('id').min(1).required(),
  steps: Joi.array().items(step).unique('id').min(1).required(),
});
