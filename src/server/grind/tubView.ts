import Joi from 'joi';
import { gradeOfWeighing, gradeWords, type Grade } from '@/core/grindroom/tubs';
import type { ShareId } from '@/core/order/animal';
import { parseElementString } from '@/core/label/gs1';
import { cutName } from '@/core/order/naming';
import { inSentence } from '@/core/quantity/inSentence';
import { success } from '@/core/quantity/result';
import { isVoided, weighingBySerial } from '@/data/wrap';
import { id } from '../house/fields';
import { refuse } from '../house/reasons';
import { fileOf } from '../house/shareView';
import { defineUseCase, STAFF } from '../house/useCase';
import { batchIn } from './batchIn';

export type ScannedTub = { readonly shareId: ShareId; readonly grade: Grade; readonly words: string };

/** The tub whose tag was scanned at a batch, or why nothing of it goes in: it is another's, or of another animal. */
export const tubView = defineUseCase<{ text: string; batchId: string }, ScannedTub>({
  name: 'tubView',
  roles: STAFF,
  writes: false,
  input: Joi.object({ text: Joi.string().min(1).max(300).required(), batchId: id }),
  run: async (house, { text, batchId }) => {
    const found = await batchIn(house, batchId);
    if (!found.ok) return found;
    const { parts, file } = found.value;
    const code = parseElementString(text);
    if (!code.ok) return refuse('not-found', 'That is not the tag of a tub. Scan the bars on its tag.');
    const weighing = await weighingBySerial(house.db, Number(code.value.serial));
    const grade = weighing && gradeOfWeighing(weighing);
    if (!weighing || grade === undefined || (await isVoided(house.db, weighing.id))) {
      return refuse('not-found', 'That is the tag of no tub that is here.');
    }
    const { shareId } = weighing;
    if (!parts.some((part) => part.file.share.id === shareId)) {
      const other = await fileOf(house, shareId);
      if (!other.ok) return other;
      const { situation, animal } = other.value;
      return refuse(
        'wrong-place',
        `That tub is of ${cutName(other.value)}, ${situation.species.id} ${animal.tag}. Nothing of it goes into the batch of ${cutName(file)}.`,
      );
    }
    return success({ shareId, grade, words: inSentence(gradeWords(grade)) });
  },
});
