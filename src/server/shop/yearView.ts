import Joi from 'joi';
import type { FinishedShare, YearBeside } from '@/core/charges/yearBeside';
import { yearBeside } from '@/core/charges/yearBeside';
import type { ShareId } from '@/core/order/animal';
import { animalWords, shareName } from '@/core/order/naming';
import { finalBasis } from '@/core/order/settling';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { readShareFiles } from '@/data/rail';
import { closedSince } from '@/data/settle';
import { draftOf, readPriceLists } from '@/data/setUp';
import { refuse } from '../house/reasons';
import { defineUseCase, type House } from '../house/useCase';
import { listInHand } from './draft';

const YEAR_MS = 365 * 24 * 3600 * 1000;
/** Shares that are worked out at once, so that others are served in between, and at the most. */
const AT_ONCE = 20;
const MOST_SHARES = 400;

export type YearView = YearBeside & {
  /** Whether the year had more shares than are worked out: these are the latest. */
  readonly isPart: boolean;
};

/** The shares finished in the last year, under a list and under the one beside it. */
export const yearView = defineUseCase<{ listId: string; besideId: string }, YearView>({
  name: 'yearView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({ listId: Joi.string().max(60).required(), besideId: Joi.string().max(60).required() }),
  run: async (house, { listId, besideId }) => {
    const lists = await readPriceLists(house.db);
    const draft = await draftOf(house.db, listId);
    const now = draft ? listInHand(lists, draft) : lists.find(({ id }) => id === listId);
    const was = lists.find(({ id }) => id === besideId);
    if (!now || !was) return refuse('not-found', 'There is no such price list.', 'listId');
    const since = instant(new Date(house.now.getTime() - YEAR_MS));
    const closed = await closedSince(house.db, since, MOST_SHARES + 1);
    const shares: FinishedShare[] = [];
    for (let at = 0; at < Math.min(closed.length, MOST_SHARES); at += AT_ONCE) {
      shares.push(...(await finished(house, closed.slice(at, at + AT_ONCE))));
    }
    const beside = yearBeside(was, now, shares);
    return success({
      ...beside,
      species: house.catalogue.species.flatMap(({ id, name }) =>
        beside.species.filter((each) => each.name === id).map((each) => ({ ...each, name })),
      ),
      isPart: closed.length > MOST_SHARES,
    });
  },
});

async function finished({ db, setUps }: House, shareIds: readonly ShareId[]): Promise<FinishedShare[]> {
  const files = await readShareFiles(db, setUps, shareIds);
  return files.map((file) => ({
    name: `${shareName(file)}, ${animalWords(file)}`,
    species: file.animal.species,
    basis: finalBasis(file),
  }));
}
