import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { defineUseCase, STAFF } from '../house/useCase';

/** Whether what is done in the house may be followed; the stream itself is opened by its handler. */
export const eventsView = defineUseCase<Record<string, never>, true>({
  name: 'eventsView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async () => success(true),
});
