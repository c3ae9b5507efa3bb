import Joi from 'joi';
import { group } from 'd3-array';
import { isDeepStrictEqual } from 'node:util';
import type { PersonId, ShareId } from '@/core/order/animal';
import { cutsOver, type CutOver } from '@/core/order/farmSheets';
import { cutName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { coldWeight, estimateOf, openQuestions, planOf, sheetInForce } from '@/core/order/standing';
import { formatMoney } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import { copiedSheet } from '@/core/sheet/copied';
import { decisionsAsked } from '@/core/sheet/situation';
import { sheetProblems } from '@/core/sheet/sheetProblems';
import { answerSummary, extrasSummary, grindSummary } from '@/core/sheet/summary';
import { personById } from '@/data/book';
import { liveSharesOfFarm } from '@/data/rail';
import { keepDraft } from '@/data/sheet';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { cutFileOf, fileOf } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { changeable, draftOver } from './changeable';

/** One share among those of its farm. */
export type FarmShare = {
  readonly shareId: ShareId;
  readonly name: string;
  readonly tag: string;
  /** `approved`, `3 open`, `no sheet`, `on the block` */
  readonly stands: string;
  readonly mayChange: boolean;
  /** What each row says; a row without an answer is not named. */
  readonly says: Readonly<Record<string, string>>;
  readonly cold: Weight;
  readonly takeHome: Weight;
  readonly cost: string;
};

/** The shares of one species, with what they give together. */
export type FarmSpecies = {
  readonly species: string;
  readonly unit: WeighingUnit;
  readonly rows: readonly { readonly id: string; readonly title: string }[];
  readonly shares: readonly FarmShare[];
  readonly cuts: readonly CutOver[];
};

export type FarmSheets = {
  readonly id: PersonId;
  readonly name: string;
  readonly species: readonly FarmSpecies[];
};

const GRIND = 'grind';
const EXTRAS = 'extras';

/** All sheets of a farm's animals that are in the shop or booked, side by side. */
export const farmSheetsView = defineUseCase<{ personId: PersonId }, FarmSheets>({
  name: 'farmSheetsView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ personId: id }),
  run: async (house, { personId }) => {
    const farm = await personById(house.db, personId);
    if (!farm) return refuse('not-found', 'There is nobody of that name.');
    const files = await leadFiles(house, await liveSharesOfFarm(house.db, personId));
    const species = [...group(files, (file) => file.animal.species).values()].map(speciesOf);
    return success({ id: farm.id, name: farm.name, species });
  },
});

/** The files of those who decide; households that are cut as one are told together. */
async function leadFiles(house: House, shareIds: readonly ShareId[]): Promise<ShareFile[]> {
  const files = await Promise.all(shareIds.map((shareId) => house.files.read(house.db, shareId)));
  return files.filter((file) => file !== undefined && file.together[0]!.id === file.share.id) as ShareFile[];
}

function speciesOf(files: readonly ShareFile[]): FarmSpecies {
  const { species, unit } = files[0]!.situation;
  const asked = new Set(files.flatMap(({ situation }) => decisionsAsked(situation).map((row) => row.id)));
  return {
    species: species.name,
    unit,
    rows: [
      ...species.decisions
        .filter((row) => asked.has(row.id))
        .map((row) => ({ id: row.id, title: row.title })),
      { id: GRIND, title: 'Grind and sausage' },
      { id: EXTRAS, title: 'Wrap, extras' },
    ],
    shares: files.map(shareOf),
    cuts: cutsOver(
      files
        .filter(({ sheet }) => sheet)
        .map((file) => ({ shareId: file.share.id, expected: planOf(file).expected })),
    ),
  };
}

function shareOf(file: ShareFile): FarmShare {
  const { share, animal, situation, start } = file;
  const sheet = sheetInForce(file);
  const open = start ? 0 : openQuestions(file).filter(({ blocks }) => blocks).length;
  const answered = decisionsAsked(situation).flatMap((decision) => {
    const answer = sheet.answers[decision.id];
    return answer ? [[decision.id, answerSummary(decision, answer, situation.unit)] as const] : [];
  });
  const stands = start
    ? 'on the block'
    : !file.sheet
      ? 'no sheet'
      : file.sheet.approved
        ? 'approved'
        : open > 0
          ? `${open} open`
          : 'to approve';
  return {
    shareId: share.id,
    name: cutName(file),
    tag: animal.tag,
    stands,
    mayChange: !start && !file.sheet?.approved,
    says: file.sheet
      ? {
          ...Object.fromEntries(answered),
          [GRIND]: grindSummary(situation.species, sheet.grind, situation.unit),
          [EXTRAS]: extrasSummary(situation.species, sheet),
        }
      : {},
    cold: coldWeight(file),
    takeHome: file.sheet ? planOf(file).expected.takeHome : (0 as Weight),
    cost: file.sheet ? formatMoney(estimateOf(file).total, file.priceList.sign) : '',
  };
}

type Copy = { clientId: string; fromShareId: ShareId; toShareIds: ShareId[]; rows: string[] };

/** Gives a sheet's answers to other shares of its species, all of them or some rows; none, or all of them. */
export const copySheet = defineUseCase<Copy, { readonly gone: readonly string[] }>({
  name: 'copySheet',
  roles: OFFICE,
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
