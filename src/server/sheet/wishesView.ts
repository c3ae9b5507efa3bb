import Joi from 'joi';
import { goalsSchema } from '@/core/goals/goalSchema';
import type { Goal } from '@/core/goals/goals';
import type { SearchJob } from '@/core/goals/searchJob';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { sheetProblems } from '@/core/sheet/sheetProblems';
import { sheetSchema } from '@/core/sheet/sheetSchema';
import type { Sheet } from '@/core/sheet/types';
import { id } from '../house/fields';
import { refuse } from '../house/reasons';
import { cutFileOf } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';
import { openSheetOf } from './sheetView';

type Input = { shareId: ShareId; sheet: Sheet; goals: Goal[]; pins: string[] };

/** What a search for sheets by wishes needs; the search itself runs in a thread of its own and holds nothing here. */
export const wishesView = defineUseCase<Input, SearchJob>({
  name: 'wishesView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({
    shareId: id,
    sheet: sheetSchema.required(),
    goals: goalsSchema.required(),
    pins: Joi.array().items(Joi.string().max(60)).max(100).required(),
  }),
  run: async (house, { shareId, sheet, goals, pins }) => {
    const found = await cutFileOf(house, shareId);
    if (!found.ok) return found;
    const { situation } = found.value;
    const problems = sheetProblems(situation, sheet);
    if (problems.length > 0)
      return { ...refuse('invalid', problems[0]!.message, problems[0]!.field), problems };
    const view = openSheetOf(house, found.value);
    return success({ view, species: { ...situation.species, names: [], absent: [] }, sheet, goals, pins });
  },
});
