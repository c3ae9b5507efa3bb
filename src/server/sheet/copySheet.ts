import Joi from 'joi';
import { isDeepStrictEqual } from 'node:util';
import type { ShareId } from '@/core/order/animal';
import { cutName } from '@/core/order/naming';
import { sheetInForce } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { copiedSheet } from '@/core/sheet/copied';
import { withAnswer } from '@/core/sheet/houseSheet';
import { sheetProblems } from '@/core/sheet/sheetProblems';
import { answerSchema } from '@/core/sheet/sheetSchema';
import type { Answer } from '@/core/sheet/types';
import { keepDraft } from '@/data/sheet';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { cutFileOf, fileOf } from '../house/shareView';
import { defineUseCase, OFFICE } from '../house/useCase';
import { changeable, changeableAs, draftOver } from './changeable';

type Copy = { clientId: string; fromShareId: ShareId; toShareIds: ShareId[]; rows: string[] };

/** Gives a sheet's answers to other shares of its species, all of them or some rows; none, or all of them. */
export const copySheet = defineUseCase<Copy, { readonly gone: readonly string[] }>({
  name: 'copySheet',
  roles: OFFICE,
  others: ['farmer'],
  rows: ({ fromShareId, toShareIds }) => ({ shares: [fromShareId, ...toShareIds] }),
  writes: true,
  input: Joi.object({
    clientId,
    fromShareId: id,
    toShareIds: Joi.array().items(id).unique().min(1).max(60).required().label('whom it is copied to'),
    rows: Joi.array().items(Joi.string().max(60)).max(100).required(),
  }),
  subject: ({ fromShareId }) => fromShareId,
  run: async (house, { fromShareId, toShareIds, rows }) => {
    const from = await cutFileOf(house, fromShareId);
    if (!from.ok) return from;
    const given = from.value.sheet?.sheet;
    if (!given) return refuse('no-sheet', 'Nothing is on the sheet that would be copied.');
    const gone: string[] = [];
    for (const toShareId of toShareIds) {
      const to = await fileOf(house, toShareId);
      const file = to.ok ? await changeable(house, toShareId) : to;
      if (!file.ok) return file;
      const { share, sheet, situation, animal } = file.value;
      if (animal.species !== from.value.animal.species) {
        return refuse('not-that-animal', `${cutName(file.value)} is another animal. Nothing was copied.`);
      }
      if (sheet?.approved) {
        return refuse('approved', `The sheet of ${cutName(file.value)} is approved. Nothing was copied.`);
      }
      const made = copiedSheet(
        given,
        sheetInForce(file.value),
        situation,
        rows.length > 0 ? rows : undefined,
      );
      gone.push(...made.gone.map(({ title, was }) => `${cutName(file.value)}: ${title} was ${was}`));
      if (sheet && isDeepStrictEqual(sheet.sheet, made.sheet)) continue;
      const problems = sheetProblems(situation, made.sheet);
      if (problems.length > 0) return { ...refuse('invalid', problems[0]!.message), problems };
      // What stood there stays as a version of its own, whoever drafted it.
      await keepDraft(house.db, share.id);
      await draftOver(house, file.value, made.sheet);
    }
    return success({ gone });
  },
});

type RowChange = { shareId: ShareId; version: number; decision: string; answer: Answer };

/** Answers rows of several shares otherwise: all of them, or none where a sheet has changed since it was looked at. */
export const changeRows = defineUseCase<
  { clientId: string; changes: RowChange[] },
  { readonly sheets: number }
>({
  name: 'changeRows',
  roles: OFFICE,
  others: ['farmer'],
  rows: ({ changes }) => ({ shares: changes.map(({ shareId }) => shareId) }),
  writes: true,
  input: Joi.object({
    clientId,
    changes: Joi.array()
      .items(
        Joi.object({
          shareId: id,
          version: Joi.number().integer().min(1).required(),
          decision: Joi.string().max(60).required(),
          answer: answerSchema.required(),
        }),
      )
      .min(1)
      .max(400)
      .required()
      .label('rows to change'),
  }),
  subject: ({ changes }) => `${changes.length} rows`,
  run: async (house, { changes }) => {
    const shares = [...new Map(changes.map(({ shareId, version }) => [shareId, version]))];
    for (const [shareId, version] of shares) {
      const found = await changeableAs(house, { shareId, version });
      if (!found.ok) return found;
      const { sheet, situation } = found.value;
      if (sheet?.approved) {
        return refuse('approved', `The sheet of ${cutName(found.value)} is approved. Nothing was changed.`);
      }
      const made = changes
        .filter((change) => change.shareId === shareId)
        .reduce((so, { decision, answer }) => withAnswer(so, decision, answer), sheetInForce(found.value));
      const problems = sheetProblems(situation, made);
      if (problems.length > 0) return { ...refuse('invalid', problems[0]!.message), problems };
      await keepDraft(house.db, found.value.share.id);
      await draftOver(house, found.value, made);
    }
    return success({ sheets: shares.length });
  },
});
