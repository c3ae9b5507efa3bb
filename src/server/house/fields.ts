import Joi from 'joi';

/** Made by the client, so that a request that is sent twice is done once. */
export const clientId = Joi.string().guid().required();
export const id = Joi.string().guid().required();
export const thousandths = Joi.number().integer().min(0).max(2_000_000);

/** Words of a person that say something: a dot or a dash does not. */
export const words = (most: number) =>
  Joi.string()
    .trim()
    .max(most)
    .pattern(/\p{L}{2}/u, { name: 'words that say why' });

/** The second yes to something out of the ordinary. */
export const sure = Joi.boolean().default(false);
