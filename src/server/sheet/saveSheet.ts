import Joi from 'joi';
import { isDeepStrictEqual } from 'node:util';
import type { ShareId } from '@/core/order/animal';
import type { SheetVersion } from '@/core/order/work';
import { success } from '@/core/quantity/result';
import { sheetProblems } from '@/core/sheet/sheetProblems';
import { sheetSchema } from '@/core/sheet/sheetSchema';
import type { Sheet } from '@/core/sheet/types';
import { id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE } from '../house/useCase';
import { changeable, draftOver } from './changeable';

export type SavedSheet = { readonly version: number };

type Input = { shareId: ShareId; baseVersion: number; sheet: Sheet };

/**
 * Keeps a draft of a sheet in place of the one before. What another person had drafted is kept as a version first. A
 * sheet changed elsewhere in the meantime is not overwritten, and one that is approved is opened again first.
 */
export const saveSheet = defineUseCase<Input, SavedSheet>({
  name: 'saveSheet',
  roles: OFFICE,
  others: ['household', 'farmer'],
  writes: true,
  isDraft: true,
  input: Joi.object({
    shareId: id,
    baseVersion: Joi.number().integer().min(0).required(),
    sheet: sheetSchema.required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, { shareId, baseVersion, sheet }) => {
    const found = await changeable(house, shareId);
    if (!found.ok) return found;
    const { situation, sheet: latest } = found.value;
    if (latest && isDeepStrictEqual(latest.sheet, sheet)) return success({ version: latest.version });
    const problems = sheetProblems(situation, sheet);
    if (problems.length > 0) {
      return { ...refuse('invalid', problems[0]!.message, problems[0]!.field), problems };
    }
    if (latest?.approved) {
      const message =
        house.actor.kind !== 'staff'
          ? 'The shop has taken your sheet as it stands. Ring us, and we change it together.'
          : 'This sheet is approved as it stands. Say why it changes, and have it approved afresh.';
      return refuse('approved', message);
    }
    if ((latest?.version ?? 0) !== baseVersion && !isOwnLostAnswer(latest, baseVersion, house.actor.id)) {
      return refuse(
        'changed-elsewhere',
        'This sheet was changed in another window. Load it again; what you see here has not been saved.',
      );
    }
    return success(await draftOver(house, found.value, sheet));
  },
});

/** The answer to one's own last draft was lost on the way: the next one stands on it all the same. */
function isOwnLostAnswer(latest: SheetVersion | undefined, baseVersion: number, actorId: string): boolean {
  return (
    latest !== undefined &&
    !latest.approved &&
    latest.actorId === actorId &&
    latest.version === baseVersion + 1
  );
}
