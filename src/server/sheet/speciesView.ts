import Joi from 'joi';
import type { Species } from '@/core/species/types';
import { success } from '@/core/quantity/result';
import { refuse } from '../house/reasons';
import { defineUseCase, STAFF } from '../house/useCase';

/**
 * One species of one version of the catalogue: what the browser works a sheet out with. It never changes. Words are
 * looked up in the house, and stay there.
 */
export const speciesView = defineUseCase<{ id: string; version: string }, Species>({
  name: 'speciesView',
  roles: STAFF,
  writes: false,
  input: Joi.object({
    id: Joi.string().max(40).required(),
    version: Joi.string().max(40).required(),
  }),
  run: async ({ db, setUps }, { id, version }) => {
    // An order may stand on a catalogue of before: its version ends in the step of the set-up.
    const step = Number(/\.(\d{1,9})$/.exec(version)?.[1] ?? 0);
    const { catalogue } = await setUps.at(db, step);
    const found = catalogue.version === version && catalogue.species.find((each) => each.id === id);
    return found
      ? success({ ...found, names: [], absent: [], guide: undefined })
      : refuse('not-found', 'The catalogue has changed. Load the page again.');
  },
});
