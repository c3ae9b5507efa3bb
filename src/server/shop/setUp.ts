import Joi from 'joi';
import { setUpChangeSchema } from '@/core/setUp/changeSchema';
import { cutItem, grindItem } from '@/core/species/items';
import { setUpAfter, shopFactsWithout, standing } from '@/core/setUp/setUp';
import { setUpProblem } from '@/core/setUp/setUpProblem';
import type { SetUpChange } from '@/core/setUp/types';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { sharesWithoutSheet } from '@/data/rail';
import { changeShop, readShop, writeStep } from '@/data/setUp';
import { clientId } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { defineUseCase, type House } from '../house/useCase';

type Taken = { readonly number: number };

/** A change as an owner says it: numbers of items and what was before are the house's to add. */
export type SaidChange = SetUpChange extends infer Change
  ? Change extends { readonly items: unknown }
    ? Omit<Change, 'items'>
    : Change extends { readonly was: unknown }
      ? Omit<Change, 'was'>
      : Change
  : never;

/**
 * Changes how the shop is set up by one step: dated, named, and taken back by a later one. What can be cut or made after
 * it is tried first. Sheets that were begun stand on what held then.
 */
export const changeSetUp = defineUseCase<{ clientId: string; change: SaidChange }, Taken>({
  name: 'changeSetUp',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, change: setUpChangeSchema }),
  subject: ({ change }) => change.kind,
  run: async (house, { change: said }) => {
    const { base, steps } = await house.setUps.history(house.db);
    if (said.kind === 'back' && !standing(steps).some(({ number }) => number === said.step)) {
      return refuse('not-found', 'That step is not there any more.', 'change.step');
    }
    const change = await completed(house, said);
    const step = {
      number: house.setUp.number + 1,
      change,
      at: instant(house.now),
      actorName: house.actor.name,
    };
    const trial = {
      shipped: house.setUps.shipped,
      before: house.setUp,
      after: setUpAfter(base, [...steps, step]),
    };
    const problem: Refusal | undefined = setUpProblem(change, trial);
    if (problem) return problem;
    if (change.kind === 'shop') await changeShop(house.db, change.shop);
    if (change.kind === 'back') await changeShop(house.db, shopFactsWithout(steps, change.step));
    const number = await writeStep(house.db, { ...step, actorId: house.actor.id });
    house.files.forgetAll();
    for (const shareId of await sharesWithoutSheet(house.db)) house.touch(shareId);
    return success({ number });
  },
});

/** The change with what only the house knows. */
async function completed(house: House, said: SaidChange): Promise<SetUpChange> {
  switch (said.kind) {
    case 'own-cut':
    case 'recipe':
      return { ...said, items: newItems(house, said) };
    case 'shop': {
      const shop = await readShop(house.db);
      const was = Object.fromEntries(
        Object.keys(said.shop).map((key) => [key, shop[key as keyof typeof said.shop]]),
      );
      return { ...said, was };
    }
    default:
      return said;
  }
}

/** Numbers of the shop's own items begin here, so that those that ship later never meet them. */
const FIRST_OWN_ITEM = 50_000;

function newItems(
  { setUp, catalogue }: House,
  said: Extract<SaidChange, { readonly kind: 'own-cut' | 'recipe' }>,
): Readonly<Record<string, number>> {
  const known = catalogue.species.find(({ id }) => id === said.species)?.items ?? {};
  const given = Object.values(setUp.items).flatMap((items) => Object.values(items));
  const next = Math.max(FIRST_OWN_ITEM - 1, ...given) + 1;
  const items =
    said.kind === 'own-cut'
      ? [cutItem(said.cut.decision, said.cut.name, null)]
      : said.recipe.forms.map((form) => grindItem(said.recipe.id, form));
  const unknown = items.filter((item) => !Object.hasOwn(known, item));
  return Object.fromEntries(unknown.map((item, at) => [item, next + at]));
}
