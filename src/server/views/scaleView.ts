import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { EVERYONE, defineUseCase, type House } from '../doorway';

/** The scale whose readings may be watched. */
export const scaleView = defineUseCase<Record<string, never>, House['devices']['scale']>({
  name: 'scaleView',
  roles: EVERYONE,
  writes: false,
  input: Joi.object({}),
  run: async (house) => success(house.devices.scale),
});
