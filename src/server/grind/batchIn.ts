import { randomUUID } from 'node:crypto';
import {
  standingOf,
  type BatchDeed,
  type BatchEvent,
  type BatchGround,
  type BatchStanding,
  type GrindBatch,
} from '@/core/grindroom/batch';
import { whyNot } from '@/core/grindroom/batchRules';
import { batchAccount, move, type Account, type Posting } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { success, type Result } from '@/core/quantity/result';
import { sumWeights } from '@/core/quantity/weight';
import { pantryOf } from '@/core/species/recipe';
import { instant } from '@/core/time/shopTime';
import { shareOfBatch, writeBatchEvent } from '@/data/grind';
import { writeTransaction } from '@/data/ledger';
import { refuse, type Reason } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import type { House } from '../house/useCase';

/** A batch with the share it is of. */
export type BatchIn = {
  readonly file: ShareFile;
  readonly batch: GrindBatch;
  readonly events: readonly BatchEvent[];
  readonly standing: BatchStanding;
};

/** Where a batch of a share stands. */
export function standingIn(
  { catalogue, setUp }: Pick<House, 'catalogue' | 'setUp'>,
  file: ShareFile,
  { batch, events }: Pick<BatchIn, 'batch' | 'events'>,
): BatchStanding {
  const out = file.weighings.filter(({ lineKey, source }) => source === 'batch' && lineKey === batch.lineKey);
  const packed = sumWeights(out.map(({ net }) => net));
  return standingOf(batch, events, { ...groundIn({ catalogue, setUp }, file), packed });
}

/** What a shop's batches stand on; limits are those of today, whatever held when an order was begun. */
export function groundIn(
  { catalogue, setUp }: Pick<House, 'catalogue' | 'setUp'>,
  { shop }: Pick<ShareFile, 'shop'>,
): Omit<BatchGround, 'packed'> {
  return { unit: shop.unit, pantry: pantryOf(catalogue.ingredients), nitrite: setUp.rules.nitrite };
}

/** A batch by its number, or that there is none. */
export async function batchIn(house: House, batchId: string): Promise<Result<BatchIn, Reason>> {
  const shareId = await shareOfBatch(house.db, batchId);
  if (!shareId) return refuse('not-found', 'There is no such batch. Load the page again.');
  const found = await cutFileOf(house, shareId);
  if (!found.ok) return found;
  const file = found.value;
  const own = file.batches.find(({ batch }) => batch.id === batchId)!;
  if (file.closing) return refuse('closed', 'This order is closed. Nothing more is ground for it.');
  return success({ ...own, file, standing: standingIn(house, file, own) });
}

/** Does something to a batch, with the weight that it moves, or says why it cannot be done. */
export async function doTo(
  house: House,
  { batch, file, standing }: BatchIn,
  { clientId, deed }: { readonly clientId: string; readonly deed: BatchDeed },
): Promise<Result<{ readonly batchId: string }, Reason>> {
  const why = whyNot(standing, deed, { actorId: house.actor.id, unit: file.shop.unit });
  if (why !== '') return refuse('not-in-a-batch', why);
  const by = { at: instant(house.now), actorId: house.actor.id };
  const postings = postingsOf(file.share.id, batch, deed);
  const transactionId = postings.length > 0 ? randomUUID() : null;
  if (transactionId) {
    await writeTransaction(house.db, { id: transactionId, kind: `batch-${deed.kind}`, ...by }, postings);
  }
  await writeBatchEvent(house.db, {
    ...deed,
    ...by,
    id: randomUUID(),
    batchId: batch.id,
    clientId,
    transactionId,
  });
  touchCut(house, file);
  return success({ batchId: batch.id });
}

/** What a deed moves: meat out of the owner's tub, seasoning in from outside, a film left in the grinder. */
function postingsOf(shareId: ShareId, { lineKey }: GrindBatch, deed: BatchDeed): readonly Posting[] {
  const inIt = batchAccount(shareId, lineKey);
  const of = (kind: Account['kind']): Account => ({ kind, owner: shareId });
  if (deed.kind === 'meat') return move(of('tub'), inIt, deed.net);
  if (deed.kind === 'mixed' && deed.added > 0) return move(of('added'), inIt, deed.added);
  if (deed.kind === 'closed' && deed.film > 0) return move(inIt, of('grinder'), deed.film);
  return [];
}
