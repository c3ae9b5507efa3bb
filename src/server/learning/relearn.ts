import { sharesBeforeTheBlock } from '@/data/rail';
import type { House } from '../house/useCase';

/** Something more, or something less, is learnt from: every share of the species that is still to be cut is forecast anew. */
export async function relearn(house: House, species: string): Promise<void> {
  house.files.forgetShares();
  for (const shareId of await sharesBeforeTheBlock(house.db, species)) house.touch(shareId);
}
