import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { defineUseCase, STAFF } from '../house/useCase';

/** Whether the readings of the scale may be watched; the stream itself is opened by its handler. */
export const scaleView = defineUseCase<Record<string, never>, true>({
  name: 'scaleView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async () => success(true),
});
