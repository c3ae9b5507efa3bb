import { randomUUID } from 'node:crypto';
import {
  eventsOfPool,
  standingOf,
  type BatchDeed,
  type BatchEvent,
  type BatchFile,
  type BatchGround,
  type BatchStanding,
  type GrindBatch,
} from '@/core/grindroom/batch';
import { whyNot } from '@/core/grindroom/batchRules';
import { drawnByGrade } from '@/core/grindroom/tubs';
import { batchAccount, move, postBatchEnd, type Account, type Posting } from '@/core/ledger/ledger';
import { evenOut } from '@/core/grindroom/pool';
import type { ShareId } from '@/core/order/animal';
import { cutName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { success, type Result } from '@/core/quantity/result';
import { allocate } from '@/core/quantity/allocate';
import { sumWeights, ZERO_WEIGHT, type Weight } from '@/core/quantity/weight';
import { pantryOf } from '@/core/species/recipe';
import { instant } from '@/core/time/shopTime';
import { shareOfBatch, writeBatchEvent } from '@/data/grind';
import { writeTransaction } from '@/data/ledger';
import { refuse, type Reason } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import type { House } from '../house/useCase';

/** An owner's part of a batch: a batch of one owner is one part. */
export type BatchPart = { readonly file: ShareFile; readonly own: BatchFile };

/** A batch with the share it is of; of a pool with the one that leads it, and everybody's part. */
export type BatchIn = {
  readonly file: ShareFile;
  readonly batch: GrindBatch;
  readonly events: readonly BatchEvent[];
  readonly standing: BatchStanding;
  /** The one that leads it first. */
  readonly parts: readonly BatchPart[];
};

/** Where a batch stands, all its owners' parts together. */
export function standingIn(
  { catalogue, setUp }: Pick<House, 'catalogue' | 'setUp'>,
  parts: readonly BatchPart[],
): BatchStanding {
  const [{ file, own }] = parts as readonly [BatchPart, ...BatchPart[]];
  const packed = sumWeights(parts.flatMap((part) => packsOf(part).map(({ net }) => net)));
  const events = eventsOfPool(parts.map((part) => part.own));
  return standingOf(own.batch, events, { ...groundIn({ catalogue, setUp }, file), packed });
}

/** What came out of an owner's part of a batch. */
export function packsOf({ file, own }: BatchPart): ShareFile['weighings'] {
  return file.weighings.filter(({ lineKey, source }) => source === 'batch' && lineKey === own.batch.lineKey);
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
  const asked = await cutFileOf(house, shareId);
  if (!asked.ok) return asked;
  const { pool } = partIn(asked.value, batchId).own;
  const parts: BatchPart[] = [];
  for (const member of pool?.members ?? [{ shareId, batchId }]) {
    const found = await cutFileOf(house, member.shareId);
    if (!found.ok) return found;
    if (found.value.closing) {
      return refuse('closed', 'This order is closed. Nothing more is ground for it.');
    }
    parts.push(partIn(found.value, member.batchId));
  }
  const { file, own } = parts[0]!;
  const events = eventsOfPool(parts.map((part) => part.own));
  return success({ file, batch: own.batch, events, parts, standing: standingIn(house, parts) });
}

function partIn(file: ShareFile, batchId: string): BatchPart {
  return { file, own: file.batches.find(({ batch }) => batch.id === batchId)! };
}

type Doing = {
  readonly clientId: string;
  readonly deed: BatchDeed;
  /** Whose meat it is; whose batch it is where nobody else's is in it. */
  readonly of?: ShareId;
};

/** Does something to a batch, with the weight that it moves, or says why it cannot be done. */
export async function doTo(
  house: House,
  into: BatchIn,
  { clientId, deed, of }: Doing,
): Promise<Result<{ readonly batchId: string }, Reason>> {
  const { file, batch, standing, parts } = into;
  const why = whyNot(standing, deed, { actorId: house.actor.id, unit: file.shop.unit });
  const lacking = why === '' && deed.kind === 'mixed' ? missingMeat(parts) : why;
  if (lacking !== '') return refuse('not-in-a-batch', lacking);
  const shared = sharedOut(parts, deed, of ?? file.share.id);
  for (const [at, each] of shared.entries()) {
    await writeDeed(house, each.part, {
      deed: each.deed,
      clientId: at === 0 ? clientId : `${clientId}.${at}`,
    });
  }
  for (const part of parts) touchCut(house, part.file);
  return success({ batchId: batch.id });
}

/** An owner of a pool of whom nothing is in it yet, in a sentence. */
export function missingMeat(parts: readonly BatchPart[]): string {
  const lacking = parts.find(({ own }) => drawnByGrade(own.events).length === 0);
  return lacking && parts.length > 1 ? `Nothing of ${cutName(lacking.file)} is weighed in yet.` : '';
}

/** What a deed is for each owner: meat is one owner's, mix and end are shared out by the meat each gave. */
function sharedOut(
  parts: readonly BatchPart[],
  deed: BatchDeed,
  of: ShareId,
): readonly { readonly part: BatchPart; readonly deed: BatchDeed }[] {
  const leads = parts[0]!;
  const members = leads.own.pool?.members;
  if (!members) return [{ part: leads, deed }];
  if (deed.kind === 'meat') {
    return [{ part: parts.find(({ file }) => file.share.id === of) ?? leads, deed }];
  }
  if (deed.kind === 'mixed') {
    const added = allocate(
      deed.added,
      members.map(({ meat }) => meat),
    );
    return parts.map((part, at) => ({ part, deed: { ...deed, added: added[at] as Weight } }));
  }
  if (deed.kind !== 'closed') return [{ part: leads, deed }];
  return evenOut(members).map((end, at) => ({ part: parts[at]!, deed: { kind: 'closed', ...end } }));
}

async function writeDeed(
  house: House,
  { file, own: { batch } }: BatchPart,
  { clientId, deed }: Pick<Doing, 'clientId' | 'deed'>,
): Promise<void> {
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
}

/** What a deed moves: meat out of the owner's tub, seasoning in from outside, a film left in the grinder. */
function postingsOf(shareId: ShareId, { lineKey }: GrindBatch, deed: BatchDeed): readonly Posting[] {
  const inIt = batchAccount(shareId, lineKey);
  const of = (kind: Account['kind']): Account => ({ kind, owner: shareId });
  if (deed.kind === 'meat') return move(of('tub'), inIt, deed.net);
  if (deed.kind === 'mixed' && deed.added > 0) return move(of('added'), inIt, deed.added);
  if (deed.kind === 'closed') {
    return postBatchEnd(shareId, lineKey, { film: deed.film, given: deed.given ?? ZERO_WEIGHT });
  }
  return [];
}
