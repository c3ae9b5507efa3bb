import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';

/** Takes what lies on the scale as its tare. */
export const tareScale = defineUseCase<Record<string, never>, true>({
  name: 'tareScale',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async ({ devices }) => {
    const taken = await devices.scale.tare().catch(() => 'away' as const);
    if (taken === 'taken') return success(true);
    return taken === 'moving'
      ? refuse('not-steady', 'Wait until the scale is steady, then tare.')
      : refuse('scale-away', 'The scale does not answer. Check its cable; nothing was changed.');
  },
});
