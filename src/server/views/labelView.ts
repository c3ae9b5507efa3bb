import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import Joi from 'joi';
import { failure, success } from '@/core/quantity/result';
import { spoolFolder } from '../devices';
import { EVERYONE, defineUseCase } from '../doorway';

/** A printed label as its drawing. */
export const labelView = defineUseCase<{ file: string }, string>({
  name: 'labelView',
  roles: EVERYONE,
  writes: false,
  input: Joi.object({
    file: Joi.string()
      .pattern(/^[0-9a-f-]{36}(-copy\d+)?\.svg$/, { name: 'the file of a label' })
      .required(),
  }),
  run: async (_house, { file }) => {
    try {
      return success(await readFile(join(spoolFolder(), file), 'utf8'));
    } catch {
      return failure('not-found', 'There is no such label, or it still waits for the printer.');
    }
  },
});
