import Joi from 'joi';

/** Made by the client, so that a request that is sent twice is done once. */
export const clientId = Joi.string().guid().required();
export const id = Joi.string().guid().required();
export const thousandths = Joi.number().integer().min(0).max(2_000_000);
