import Joi from 'joi';
import type { Label } from '@/core/label/label';
import type { WeighingId } from '@/core/order/work';
import { success } from '@/core/quantity/result';
import { labelJob } from '@/data/wrap';
import { id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';

/** What stands on a label: kept with its package, so it can be drawn again at any time, printed or not. */
export const labelView = defineUseCase<{ weighingId: WeighingId; copy: number }, Label>({
  name: 'labelView',
  roles: STAFF,
  writes: false,
  input: Joi.object({ weighingId: id, copy: Joi.number().integer().min(1).max(999).default(1) }),
  run: async (house, { weighingId, copy }) => {
    const job = await labelJob(house.db, weighingId, copy);
    return job ? success(job.label) : refuse('not-found', 'There is no such label.');
  },
});
