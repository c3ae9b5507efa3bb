import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { sheetProblems } from '@/core/sheet/sheetProblems';
import { beginUnder } from '@/data/book';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { touchCut } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';
import { changeable } from './changeable';

/** Puts a sheet that was begun earlier under the shop's set-up of today; refused while it asks what is no longer offered. */
export const renewSetUp = defineUseCase<{ clientId: string; shareId: ShareId }, { number: number }>({
  name: 'renewSetUp',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, shareId: id }),
  subject: (input) => input.shareId,
  run: async (house, { shareId: asked }) => {
    const found = await changeable(house, asked);
    if (!found.ok) return found;
    const { share, sheet, situation } = found.value;
    const { number, catalogue, rules } = house.setUp;
    if (!sheet) return success({ number });
    if (sheet.approved) {
      return refuse('approved', 'This sheet is approved as it stands. Open it again on its screen first.');
    }
    const species = catalogue.species.find((each) => each.id === situation.species.id)!;
    const problems = sheetProblems({ ...situation, species, tools: rules.tools }, sheet.sheet);
    if (problems.length > 0) {
      const message = `This sheet asks what is no longer offered: ${problems[0]!.message} Change it first.`;
      return { ...refuse('invalid', message, problems[0]!.field), problems };
    }
    await beginUnder(house.db, share.id, number);
    touchCut(house, found.value);
    return success({ number });
  },
});
