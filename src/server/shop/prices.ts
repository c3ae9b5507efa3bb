import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { changed, type PriceChange } from '@/core/charges/changes';
import { beginProblem, type PriceList } from '@/core/charges/priceList';
import { priceListProblem } from '@/core/charges/priceListProblem';
import { readPriceListCsv, writePriceListCsv } from '@/core/formats/priceListCsv';
import { failure, success, type Result } from '@/core/quantity/result';
import { priceListSchema } from '@/core/charges/priceListSchema';
import { checkShape } from '@/core/shape/checkShape';
import { dayIn, instant, isDay } from '@/core/time/shopTime';
import {
  draftOf,
  endDraft,
  readPriceLists,
  readShop,
  takeBackChange as writeTakenBack,
  writeChange,
  writeDraft,
  writePriceList,
  type PriceDraft,
} from '@/data/setUp';
import { clientId, id } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { defineUseCase, type House, type UseCase } from '../house/useCase';
import { listInHand } from './draft';

const day = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}$/, { name: 'a date like 2027-01-04' })
  .custom((said: string, helpers) => (isDay(said) ? said : helpers.error('any.invalid')));
const named = Joi.string().trim().min(1).max(80);
const listId = Joi.string().max(60);

const by = (house: House) => ({ at: instant(house.now), actorId: house.actor.id });

/** The shapes of changes; what they make of a list is checked with the list. */
const changeSchema = Joi.alternatives()
  .conditional('.kind', {
    switch: [
      {
        is: 'rate',
        then: Joi.object({
          kind: 'rate',
          rule: listId.required(),
          rateCents: Joi.number().integer().required(),
        }),
      },
      { is: 'charge', then: Joi.object({ kind: 'charge', charge: Joi.object().unknown().required() }) },
      { is: 'without', then: Joi.object({ kind: 'without', rule: listId.required() }) },
      {
        is: 'whole',
        then: Joi.object({
          kind: 'whole',
          whole: Joi.object({
            name: named,
            effectiveFrom: day,
            minimumCents: Joi.number().integer(),
            taxBp: Joi.number().integer(),
            roundCents: Joi.number().integer(),
          })
            .min(1)
            .required(),
        }),
      },
    ],
    otherwise: Joi.forbidden(),
  })
  .required();

type Begun = { readonly draftId: string };

/** Takes a list in hand: a copy of one that stands, under another name and from another day. */
export const startPriceList = defineUseCase<
  { clientId: string; baseId: string; name: string; effectiveFrom: string },
  Begun
>({
  name: 'startPriceList',
  roles: ['owner'],
  writes: true,
  input: Joi.object({
    clientId,
    baseId: listId.required(),
    name: named.required(),
    effectiveFrom: day.required(),
  }),
  subject: ({ name }) => name,
  run: async (house, { clientId: draftId, baseId, name, effectiveFrom }) => {
    const lists = await readPriceLists(house.db);
    if (!lists.some((list) => list.id === baseId))
      return refuse('not-found', 'There is no such price list.', 'baseId');
    const problem = await dayProblem(house, lists, effectiveFrom);
    if (problem) return problem;
    await writeDraft(house.db, { id: draftId, baseId, name, effectiveFrom }, by(house));
    return success({ draftId });
  },
});

/** What is done to one list in hand, by the owner. */
function defineStep<More extends object, Output>(step: {
  readonly name: string;
  readonly more?: Joi.SchemaMap;
  readonly run: (house: House, inHand: InHand, more: More) => Promise<Result<Output, Reason>>;
}): UseCase<{ clientId: string; draftId: string } & More, Output> {
  return defineUseCase({
    name: step.name,
    roles: ['owner'],
    writes: true,
    input: Joi.object({ clientId, draftId: id, ...step.more }),
    subject: ({ draftId }) => draftId,
    run: async (house, input) => {
      const draft = await draftOf(house.db, input.draftId);
      if (!draft) return refuse('not-found', 'That price list is not in hand any more.', 'draftId');
      const lists = await readPriceLists(house.db);
      return step.run(house, { draft, lists, list: listInHand(lists, draft) }, input);
    },
  });
}

/** Changes a list in hand by one step, which stands in its history and can be taken back. */
export const changePrices = defineStep<{ change: PriceChange }, Begun>({
  name: 'changePrices',
  more: { change: changeSchema },
  run: (house, inHand, { change }) => make(house, inHand, change),
});

/** Takes one step of a list in hand back; the later ones stay. */
export const takeBackPrice = defineStep<{ changeId: string }, Begun>({
  name: 'takeBackPrice',
  more: { changeId: id },
  run: async (house, { draft }, { changeId }) => {
    const step = draft.changes.find((each) => each.id === changeId && !each.takenBack);
    if (!step) return refuse('not-found', 'That step is not there any more.', 'changeId');
    await writeTakenBack(house.db, changeId, by(house));
    return success({ draftId: draft.id });
  },
});

/** Takes the charges of a file, CSV or JSON, into a list in hand. */
export const importPrices = defineStep<{ text: string }, Begun>({
  name: 'importPrices',
  more: { text: Joi.string().max(200_000).required() },
  run: async (house, inHand, { text }) => {
    const list = readListFile(text);
    return list.ok ? make(house, inHand, { kind: 'file', list: list.value }) : list;
  },
});

/** Puts a list in hand in force from its day: from then on it never changes. */
export const putPricesInForce = defineStep<object, { listId: string }>({
  name: 'putPricesInForce',
  run: async (house, { draft, list, lists }) => {
    // A step that was taken back may have left what no list can be: no charge at all.
    const whole = checkShape<PriceList>(priceListSchema, list);
    if (!whole.ok) return whole;
    const problem = (await dayProblem(house, lists, list.effectiveFrom)) ?? (await shopProblem(house, list));
    if (problem) return problem;
    await writePriceList(house.db, list);
    await endDraft(house.db, { draftId: draft.id, listId: list.id }, by(house));
    return success({ listId: list.id });
  },
});

/** Puts a list in hand away; its history stays. */
export const putPricesAway = defineStep<object, Begun>({
  name: 'putPricesAway',
  run: async (house, { draft }) => {
    await endDraft(house.db, { draftId: draft.id, listId: null }, by(house));
    return success({ draftId: draft.id });
  },
});

/** A price list as a file. */
export const priceFileView = defineUseCase<
  { listId: string; as: 'csv' | 'json' },
  { name: string; text: string }
>({
  name: 'priceFileView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({ listId: listId.required(), as: Joi.valid('csv', 'json').required() }),
  run: async (house, { listId: wanted, as }) => {
    const lists = await readPriceLists(house.db);
    const draft = await draftOf(house.db, wanted);
    const list = draft ? listInHand(lists, draft) : lists.find((each) => each.id === wanted);
    if (!list) return refuse('not-found', 'There is no such price list.', 'listId');
    const text = as === 'csv' ? writePriceListCsv(list) : `${JSON.stringify(list, null, 2)}\n`;
    return success({ name: `prices-${list.effectiveFrom}.${as}`, text });
  },
});

type InHand = { readonly draft: PriceDraft; readonly list: PriceList; readonly lists: readonly PriceList[] };

async function make(
  house: House,
  { draft, list, lists }: InHand,
  change: PriceChange,
): Promise<Result<Begun, Reason>> {
  const after = changed(list, change);
  if (!after.ok) return after;
  const problem =
    (after.value.effectiveFrom === list.effectiveFrom
      ? undefined
      : await dayProblem(house, lists, after.value.effectiveFrom)) ?? (await shopProblem(house, after.value));
  if (problem) return problem;
  await writeChange(house.db, { id: randomUUID(), draftId: draft.id, change }, by(house));
  return success({ draftId: draft.id });
}

async function dayProblem(
  house: House,
  lists: readonly PriceList[],
  from: string,
): Promise<Refusal | undefined> {
  const { zone } = await readShop(house.db);
  const message = beginProblem(lists, from, dayIn(zone, house.now));
  return message === undefined ? undefined : refuse('invalid', message, 'effectiveFrom');
}

async function shopProblem(house: House, list: PriceList): Promise<Refusal | undefined> {
  const { unit } = await readShop(house.db);
  return priceListProblem(list, { unit, catalogue: house.catalogue });
}

function readListFile(text: string): Result<PriceList, 'invalid'> {
  if (!/^\s*[[{]/.test(text)) return readPriceListCsv(text);
  try {
    const raw: unknown = JSON.parse(text);
    return checkShape<PriceList>(priceListSchema, Array.isArray(raw) ? raw.at(-1) : raw);
  } catch (error) {
    return failure('invalid', `It is not JSON: ${(error as Error).message}`, 'text');
  }
}
