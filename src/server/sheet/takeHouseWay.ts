import Joi from 'joi';
import type { ShareId } from '@/core/order/animal';
import { answerBy, whyNotTheHouse } from '@/core/order/noAnswer';
import { coldSides, sheetInForce } from '@/core/order/standing';
import { houseWhereOpen } from '@/core/questions/houseWhereOpen';
import { titleOf } from '@/core/questions/findings';
import { inSentence } from '@/core/quantity/inSentence';
import { listed } from '@/core/quantity/listed';
import { success } from '@/core/quantity/result';
import { dayWords, instant } from '@/core/time/shopTime';
import { beginUnder } from '@/data/book';
import { callsOfShares, keepDraft, writeSheetVersion } from '@/data/sheet';
import { clientId, id, words } from '../house/fields';
import { refuse } from '../house/reasons';
import { touchCut } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';
import { changeableAs } from './changeable';
import type { SavedSheet } from './saveSheet';

type Input = { clientId: string; shareId: ShareId; version: number; reason: string };

/** More rows than these are counted, not named, in the reason that stands with the version. */
const MOST_NAMED = 6;

/** Nobody answered by the day the sheet must stand: the house's way for what is open, by the shop's rule, with a reason. */
export const takeHouseWay = defineUseCase<Input, SavedSheet>({
  name: 'takeHouseWay',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    version: Joi.number().integer().min(0).required(),
    reason: words(300).required().label('why'),
  }),
  subject: (input) => input.shareId,
  run: async (house, { shareId: asked, version, reason }) => {
    const found = await changeableAs(house, { shareId: asked, version });
    if (!found.ok) return found;
    const file = found.value;
    const { share, situation, sheet } = file;
    if (sheet?.approved) return refuse('approved', 'This sheet is approved as it stands.');
    const calls = await callsOfShares(
      house.db,
      file.together.map((each) => each.id),
    );
    const notYet = whyNotTheHouse(file, calls.length, house.now);
    if (notYet !== '') return refuse('not-yet', notYet);
    const { weights } = coldSides(file);
    const taken = houseWhereOpen({ situation, sheet: sheetInForce(file), coldSides: weights });
    if (taken.open.length > 0) {
      const message = `The house’s way leaves something open: ${taken.open[0]!.sentence} Answer it on the sheet.`;
      return refuse('open-questions', message);
    }
    const rows =
      taken.rows.length > MOST_NAMED
        ? `${taken.rows.length} rows`
        : listed(taken.rows.map((row) => inSentence(titleOf(situation.species, row))));
    const why = `No answer by ${dayWords(answerBy(file))}: our usual way for ${rows}. ${reason}`;
    if (!sheet) await beginUnder(house.db, share.id, house.setUp.number);
    await keepDraft(house.db, share.id);
    await writeSheetVersion(house.db, {
      shareId: share.id,
      version: version + 1,
      sheet: taken.sheet,
      approved: true,
      overrideReason: why,
      at: instant(house.now),
      actorId: house.actor.id,
    });
    touchCut(house, file);
    return success({ version: version + 1 });
  },
});
