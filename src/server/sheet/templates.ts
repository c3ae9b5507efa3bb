import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { sheetProblems } from '@/core/sheet/sheetProblems';
import { sheetSchema } from '@/core/sheet/sheetSchema';
import type { Sheet } from '@/core/sheet/types';
import { instant } from '@/core/time/shopTime';
import { endTemplateRow, templatesOf, writeTemplate } from '@/data/sheet';
import { clientId, id, words } from '../house/fields';
import { refuse } from '../house/reasons';
import { cutFileOf } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';

type Keep = { clientId: string; shareId: ShareId; name: string; sheet: Sheet };

/** Keeps a sheet under a name of the shop's, for any share of its species; words for one cutter are not kept. */
export const keepTemplate = defineUseCase<Keep, { id: string }>({
  name: 'keepTemplate',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    name: words(60).required().label('name'),
    sheet: sheetSchema.required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, { clientId: templateId, shareId, name, sheet }) => {
    const found = await cutFileOf(house, shareId);
    if (!found.ok) return found;
    const { situation } = found.value;
    const problems = sheetProblems(situation, sheet);
    if (problems.length > 0)
      return { ...refuse('invalid', problems[0]!.message, problems[0]!.field), problems };
    const known = await templatesOf(house.db, situation.species.id);
    if (known.some((each) => each.name.toLowerCase() === name.toLowerCase())) {
      return refuse(
        'already-taken',
        `There is a sheet called ${name} already. Give it another name.`,
        'name',
      );
    }
    await writeTemplate(house.db, {
      id: templateId,
      species: situation.species.id,
      name,
      sheet: { ...sheet, instructions: '', secondSide: {} },
      at: instant(house.now),
      actorId: house.actor.id,
    });
    return success({ id: templateId });
  },
});

/** Ends a sheet of the shop's; sheets that were taken from it stay as they are. */
export const endTemplate = defineUseCase<{ clientId: string; templateId: string }, { id: string }>({
  name: 'endTemplate',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, templateId: id }),
  subject: ({ templateId }) => templateId,
  run: async ({ db, now }, { templateId }) =>
    (await endTemplateRow(db, templateId, instant(now)))
      ? success({ id: templateId })
      : refuse('not-found', 'There is no such sheet any more.'),
});
