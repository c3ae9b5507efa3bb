import { group } from 'd3-array';
import type { PriceChange } from '@/core/charges/changes';
import type { Database } from '../database';

/** One change of a list in hand, and whether it was taken back. */
export type DraftChange = {
  readonly id: string;
  readonly change: PriceChange;
  readonly at: string;
  readonly actorName: string;
  readonly takenBack: boolean;
};

/** A price list in hand: what it was copied from, and every change ever made to it, the oldest first. */
export type PriceDraft = {
  readonly id: string;
  readonly baseId: string;
  readonly name: string;
  readonly effectiveFrom: string;
  readonly changes: readonly DraftChange[];
};

type By = { readonly at: string; readonly actorId: string };

/** Every price list in hand, in the order they were begun. */
export async function draftsInHand(db: Database): Promise<PriceDraft[]> {
  const drafts: Omit<PriceDraft, 'changes'>[] = await db('priceDrafts')
    .leftJoin('priceDraftEnds', 'priceDraftEnds.draftId', 'priceDrafts.id')
    .whereNull('priceDraftEnds.draftId')
    .orderBy('priceDrafts.at')
    .select('priceDrafts.id', 'baseId', 'name', 'effectiveFrom');
  const ids = drafts.map((draft) => draft.id);
  const rows: (Omit<DraftChange, 'change' | 'takenBack' | 'actorName'> & {
    draftId: string;
    actorName: string | null;
    change: string;
    takenBack: string | null;
  })[] = await db('priceChanges')
    .leftJoin('priceChangesTakenBack', 'priceChangesTakenBack.changeId', 'priceChanges.id')
    .leftJoin('users', 'users.id', 'priceChanges.actorId')
    .whereIn('draftId', ids)
    .orderBy('priceChanges.number')
    .select(
      'priceChanges.id',
      'draftId',
      'change',
      'priceChanges.at',
      'users.name as actorName',
      'priceChangesTakenBack.changeId as takenBack',
    );
  const byDraft = group(rows, (row) => row.draftId);
  return drafts.map((draft) => ({
    ...draft,
    changes: (byDraft.get(draft.id) ?? []).map(({ id, change, at, actorName, takenBack }) => ({
      id,
      change: JSON.parse(change),
      at,
      actorName: actorName ?? '',
      takenBack: takenBack !== null,
    })),
  }));
}

/** A list that is in hand; undefined when there is none of this id, or it has ended. */
export async function draftOf(db: Database, draftId: string): Promise<PriceDraft | undefined> {
  return (await draftsInHand(db)).find((draft) => draft.id === draftId);
}

export async function writeDraft(
  db: Database,
  { id, baseId, name, effectiveFrom }: Omit<PriceDraft, 'changes'>,
  by: By,
): Promise<void> {
  await db('priceDrafts').insert({ id, baseId, name, effectiveFrom, ...by });
}

export async function writeChange(
  db: Database,
  { id, draftId, change }: { id: string; draftId: string; change: PriceChange },
  by: By,
): Promise<void> {
  await db('priceChanges').insert({ id, draftId, change: JSON.stringify(change), ...by });
}

export async function takeBackChange(db: Database, changeId: string, by: By): Promise<void> {
  await db('priceChangesTakenBack').insert({ changeId, ...by });
}

/** @param listId - the list that it is in force as; null when it was put away */
export async function endDraft(
  db: Database,
  { draftId, listId }: { draftId: string; listId: string | null },
  by: By,
): Promise<void> {
  await db('priceDraftEnds').insert({ draftId, listId, ...by });
}

/** How many shares were booked under each list, by its id. */
export async function sharesByList(db: Database): Promise<ReadonlyMap<string, number>> {
  const rows: { priceListId: string; shares: number }[] = await db('shares')
    .join('animals', 'animals.id', 'shares.animalId')
    .groupBy('animals.priceListId')
    .select('animals.priceListId')
    .count({ shares: 'shares.id' });
  return new Map(rows.map((row) => [row.priceListId, Number(row.shares)]));
}
