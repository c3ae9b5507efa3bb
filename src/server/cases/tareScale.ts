import Joi from 'joi';
import { failure, success } from '@/core/quantity/result';
import { defineUseCase, EVERYONE } from '../doorway';

/** Takes what lies on the scale as its tare. */
export const tareScale = defineUseCase<Record<string, never>, true>({
  name: 'tareScale',
  roles: EVERYONE,
  writes: false,
  input: Joi.object({}),
  run: async (house) => {
    try {
      await house.devices.scale.tare();
      return success(true);
    } catch (error) {
      const why = error instanceof Error && error.message.startsWith('Wait') ? error.message : undefined;
      return failure('scale-away', why ?? 'The scale does not answer. Check its cable; nothing was changed.');
    }
  },
});
