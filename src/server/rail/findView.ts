import Joi from 'joi';
import { speciesIn } from '@/core/catalogue/catalogue';
import { searchCuts, type CutSearch } from '@/core/names/searchCuts';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { findShares, shareAlone } from '@/data/rail';
import { defineUseCase, isOffice, STAFF, type House } from '../house/useCase';
import { eyesOf, ticketOf, type Ticket } from './ticket';

/** More than fit on the screen help nobody. */
const MOST_FOUND = 9;

type Asked = { words: string; shareId?: ShareId };

export type Found = {
  readonly tickets: readonly Ticket[];
  /** Cuts of the sheet in hand that the words may mean, and where on it they are chosen. */
  readonly cuts: CutSearch;
};

/**
 * Shares found by name, telephone, tag, farm or order number, what is still in the shop first; and while a sheet is in
 * hand, its cuts by any word for them.
 */
export const findView = defineUseCase<Asked, Found>({
  name: 'findView',
  roles: STAFF,
  writes: false,
  input: Joi.object({
    words: Joi.string().trim().allow('').max(80).required(),
    shareId: Joi.string().guid(),
  }),
  run: async (house, { words, shareId }) => {
    const eyes = await eyesOf(house);
    const rows = await findShares(house.db, words, MOST_FOUND);
    const cuts = shareId && isOffice(house.actor) ? await cutsOf(house, shareId, words) : { hits: [] };
    return success({ tickets: rows.map((row) => ticketOf(row, eyes)), cuts });
  },
});

async function cutsOf({ db, catalogue }: House, shareId: ShareId, words: string): Promise<CutSearch> {
  const alone = await shareAlone(db, shareId);
  return alone ? searchCuts(speciesIn(catalogue, alone.animal.species), words) : { hits: [] };
}
