import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { openQuestions } from '@/core/order/standing';
import { isComplete } from '@/core/questions/findings';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { writeSheetVersion } from '@/data/sheet';
import { clientId, id, words } from '../house/fields';
import { refuse } from '../house/reasons';
import { touchCut } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';
import { changeableAs } from './changeable';
import type { SavedSheet } from './saveSheet';

type Input = { clientId: string; shareId: ShareId; version: number; overrideReason: string };

/** Lets a sheet go to the floor: without holes and clashes, or with a reason that somebody signs. */
export const approveSheet = defineUseCase<Input, SavedSheet>({
  name: 'approveSheet',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    version: Joi.number().integer().min(0).required(),
    overrideReason: words(300).allow('').required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, { shareId: asked, version, overrideReason }) => {
    const found = await changeableAs(house, { shareId: asked, version });
    if (!found.ok) return found;
    const shareId = found.value.share.id;
    const { sheet } = found.value;
    if (!sheet) return refuse('no-sheet', 'Nothing is on this sheet yet.');
    if (sheet.approved) return success({ version });
    const open = openQuestions(found.value).filter((finding) => finding.blocks);
    if (!isComplete(open) && overrideReason === '') {
      const count = open.length === 1 ? '1 question is' : `${open.length} questions are`;
      const message = `${count} open. Answer them, or write why it goes to the floor so.`;
      const problems = open.map((each) => ({ field: each.decision, message: each.sentence }));
      return { ...refuse('open-questions', message), problems };
    }
    await writeSheetVersion(house.db, {
      shareId,
      version: version + 1,
      sheet: sheet.sheet,
      approved: true,
      overrideReason: isComplete(open) ? null : overrideReason,
      at: instant(house.now),
      actorId: house.actor.id,
    });
    touchCut(house, found.value);
    return success({ version: version + 1 });
  },
});
