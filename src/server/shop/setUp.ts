import Joi from 'joi';
import { readAtlas } from '@/core/formats/atlasCsv';
import { setUpChangeSchema } from '@/core/setUp/changeSchema';
import { readSpeciesFile } from '@/core/setUp/speciesFile';
import { cutItem, grindItem, itemsOf } from '@/core/species/items';
import { setUpAfter, shopFactsWithout, standing } from '@/core/setUp/setUp';
import { setUpProblem, type Trial } from '@/core/setUp/setUpProblem';
import type { SetUpChange, SetUpStep } from '@/core/setUp/types';
import { success, type Result } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { isBooked } from '@/data/book';
import { sharesWithoutSheet } from '@/data/rail';
import { changeShop, readShop, writeStep } from '@/data/setUp';
import { clientId } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { defineUseCase, type House } from '../house/useCase';

type Taken = { readonly number: number };

/**
 * A change as an owner says it: numbers of items and what was before are the house's to add, and what comes as a file is
 * its text.
 */
export type SaidChange = Said<SetUpChange>;

type Said<Change> = Change extends { readonly kind: 'atlas'; readonly species: string }
  ? Omit<Change, 'atoms'> & { readonly text: string }
  : Change extends { readonly kind: 'species' }
    ? { readonly kind: 'species'; readonly text: string }
    : Change extends { readonly items: unknown }
      ? Omit<Change, 'items'>
      : Change extends { readonly was: unknown }
        ? Omit<Change, 'was'>
        : Change;

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
    const { steps } = await house.setUps.history(house.db);
    if (said.kind === 'back') {
      const problem = await backProblem(house, said.step);
      if (problem) return problem;
    }
    const tried = await tryChange(house, said);
    if (!tried.ok) return tried;
    const { step, trial } = tried.value;
    const problem: Refusal | undefined = setUpProblem(step.change, trial);
    if (problem) return problem;
    if (step.change.kind === 'shop') await changeShop(house.db, step.change.shop);
    if (step.change.kind === 'back') await changeShop(house.db, shopFactsWithout(steps, step.change.step));
    const number = await writeStep(house.db, { ...step, actorId: house.actor.id });
    house.files.forgetAll();
    for (const shareId of await sharesWithoutSheet(house.db)) house.touch(shareId);
    return success({ number });
  },
});

/** Why a step cannot be taken back; undefined when it can. */
async function backProblem(house: House, number: number): Promise<Refusal | undefined> {
  const { steps } = await house.setUps.history(house.db);
  const step = standing(steps).find((each) => each.number === number);
  if (!step) return refuse('not-found', 'That step is not there any more.', 'change.step');
  const brought = step.change.kind === 'species' ? step.change.own : undefined;
  // Another description of it may stand; the species itself must, once it is booked.
  const isLast = !standing(steps).some(
    ({ number: other, change }) =>
      other !== number && change.kind === 'species' && change.own.id === brought?.id,
  );
  if (brought && isLast && (await isBooked(house.db, brought.id))) {
    return refuse(
      'still-booked',
      `A ${brought.name.toLowerCase()} is booked: the shop must go on knowing what it is.`,
      'change.step',
    );
  }
  return undefined;
}

/** A change as a step, and the set-ups before and after it that it is tried on. */
export async function tryChange(
  house: House,
  said: SaidChange,
): Promise<Result<{ readonly step: SetUpStep; readonly trial: Trial }, Reason>> {
  const { base, steps } = await house.setUps.history(house.db);
  const change = await completed(house, said);
  if (!change.ok) return change;
  const step = {
    number: house.setUp.number + 1,
    change: change.value,
    at: instant(house.now),
    actorName: house.actor.name,
  };
  const trial = {
    shipped: house.setUps.shipped,
    before: house.setUp,
    after: setUpAfter(base, [...steps, step]),
  };
  return success({ step, trial });
}

/** The change with what only the house knows. */
async function completed(house: House, said: SaidChange): Promise<Result<SetUpChange, Reason>> {
  switch (said.kind) {
    case 'atlas': {
      const atoms = readAtlas(said.text);
      return atoms.ok ? success({ kind: 'atlas', species: said.species, atoms: atoms.value }) : atoms;
    }
    case 'species': {
      const own = readSpeciesFile(said.text, house.catalogue);
      if (!own.ok) return own;
      return success({
        kind: 'species',
        own: own.value,
        items: newItems(house, own.value.id, itemsOf(own.value)),
      });
    }
    case 'own-cut': {
      const items = [cutItem(said.cut.decision, said.cut.name, null)];
      return success({ ...said, items: newItems(house, said.species, items) });
    }
    case 'recipe': {
      const items = said.recipe.forms.map((form) => grindItem(said.recipe.id, form));
      return success({ ...said, items: newItems(house, said.species, items) });
    }
    case 'shop': {
      const shop = await readShop(house.db);
      const was = Object.fromEntries(
        Object.keys(said.shop).map((key) => [key, shop[key as keyof typeof said.shop]]),
      );
      return success({ ...said, was });
    }
    default:
      return success(said);
  }
}

/** Numbers of the shop's own items begin here, so that those that ship later never meet them. */
const FIRST_OWN_ITEM = 50_000;

function newItems(
  { setUp, catalogue }: House,
  species: string,
  items: readonly string[],
): Readonly<Record<string, number>> {
  const shown = catalogue.species.find(({ id }) => id === species)?.items;
  const known = { ...shown, ...setUp.items[species] };
  const given = Object.values(setUp.items).flatMap((each) => Object.values(each));
  const next = Math.max(FIRST_OWN_ITEM - 1, ...given) + 1;
  const unknown = items.filter((item) => !Object.hasOwn(known, item));
  return Object.fromEntries(unknown.map((item, at) => [item, next + at]));
}
