import Joi from 'joi';
import { writeYields } from '@/core/formats/yieldsCsv';
import { success } from '@/core/quantity/result';
import { matches, type YieldFilter } from '@/core/yields/filter';
import { readShop } from '@/data/setUp';
import { yieldRows } from '@/data/yields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE } from '../house/useCase';
import { filterFields } from './yieldsView';

/** What is looked at as a file for a spreadsheet or a statistician: a finished share a row. */
export const yieldsFileView = defineUseCase<Partial<YieldFilter>, { name: string; text: string }>({
  name: 'yieldsFileView',
  roles: OFFICE,
  writes: false,
  input: Joi.object(filterFields),
  run: async ({ db, catalogue }, asked) => {
    const species = catalogue.species.find(({ id }) => id === asked.species);
    if (!species) return refuse('not-found', 'We do not cut that animal.', 'species');
    const { unit } = await readShop(db);
    const rows = (await yieldRows(db, species.id)).filter((row) => matches(row, asked as YieldFilter));
    return success({ name: `yields-${species.id}.csv`, text: writeYields(rows, unit) });
  },
});
