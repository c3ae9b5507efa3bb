import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { WeighingId } from '@/core/order/work';
import { success } from '@/core/quantity/result';
import { isVoided, labelJobsOf, writeLabelJob } from '@/data/wrap';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';

/** Prints the label of a package once more; each copy is a label of its own. */
export const reprintLabel = defineUseCase<{ clientId: string; weighingId: WeighingId }, { copy: number }>({
  name: 'reprintLabel',
  roles: STAFF,
  writes: true,
  input: Joi.object({ clientId, weighingId: id }),
  subject: (input) => input.weighingId,
  run: async (house, { clientId: requestId, weighingId }) => {
    const jobs = await labelJobsOf(house.db, weighingId);
    const [first] = jobs;
    if (!first) return refuse('no-label', 'Only packages have a label.');
    if (await isVoided(house.db, weighingId)) {
      return refuse('voided', 'This pack was taken back; it has no label.');
    }
    const copy = jobs.length + 1;
    await writeLabelJob(house.db, {
      id: randomUUID(),
      weighingId,
      copy,
      clientId: requestId,
      label: first.label,
      file: null,
      at: house.now.toISOString(),
    });
    return success({ copy });
  },
});
