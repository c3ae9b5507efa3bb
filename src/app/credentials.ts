import Joi from 'joi';

/** Who somebody says to be. */
export const credentials = Joi.object<{ name: string; secret: string }>({
  name: Joi.string().trim().max(60).required(),
  secret: Joi.string().max(200).required(),
});
