import type { InspectionClass } from '../label/label';
import type { ShareId } from '../order/animal';
import { allocate } from '../quantity/allocate';
import { sumWeights, type Weight } from '../quantity/weight';
import type { BatchFile } from './batch';
import type { Rite } from '../species/recipeTypes';

/** One owner's part of a batch that several owners share. */
export type PoolMember = {
  readonly batchId: string;
  readonly shareId: ShareId;
  readonly lineKey: string;
  /** Weighed in out of the owner's tubs. */
  readonly meat: Weight;
  /** Its part of seasoning and water; null before it is mixed. */
  readonly added: Weight | null;
  /** Still in the batch on this owner's account; below zero where its packs are more than its part. */
  readonly left: Weight;
};

/** A batch of several owners' meat, the one that leads it first. */
export type Pool = { readonly id: string; readonly members: readonly PoolMember[] };

/** What decides whether a line may be ground together with another owner's. */
export type MayJoin = {
  readonly name: string;
  readonly species: string;
  readonly rite: Rite | '';
  readonly inspection: InspectionClass;
  readonly recipe: string;
  /** Of one pack; null where packs are not of one weight. */
  readonly packWeight: Weight | null;
  /** Whether its owner has said yes to it in writing. */
  readonly yes: boolean;
};

/** Why two owners' meat is not ground together; empty where it may be. What law and rite part, no yes joins. */
export function whyNotPooled(one: MayJoin, other: MayJoin): string {
  if (one.species !== other.species) return `${other.name}: another species is never ground with it.`;
  if (one.rite !== other.rite) return `${other.name}: it is kept apart by its rite.`;
  if (one.inspection !== other.inspection)
    return `${other.name}: inspected and custom-exempt meat stay apart.`;
  if (one.recipe !== other.recipe) return `${other.name}: it is of another recipe.`;
  if (one.packWeight === null || one.packWeight !== other.packWeight) {
    return `${other.name}: its packs are of another weight, so they cannot be shared out whole.`;
  }
  const missing = [one, other].find(({ yes }) => !yes);
  return missing ? `${missing.name} has not said yes in writing.` : '';
}

/**
 * Whole packs of a pool for each owner, by the meat each gave: `exact_i = P g_i / sum g`, largest remainder.
 *
 * @param meats - of the owners, in the pool's order
 * @param mix - of the whole batch
 * @example packsOfPool([8_500, 6_000, 11_500], 27_000, 1_000) // => [9, 6, 12]
 */
export function packsOfPool(meats: readonly Weight[], mix: Weight, packWeight: Weight): number[] {
  if (!(sumWeights(meats) > 0)) return meats.map(() => 0);
  return allocate(Math.floor(mix / packWeight), meats);
}

/**
 * Other owners whose packs hold meat of these batches.
 *
 * @param lines - of these batches alone; of all where it is left out
 */
export function pooledWith(
  batches: readonly BatchFile[],
  lines?: ReadonlySet<string>,
): readonly Pick<PoolMember, 'shareId' | 'lineKey'>[] {
  return batches
    .filter(({ batch }) => lines?.has(batch.lineKey) ?? true)
    .flatMap(({ batch, pool }) => pool?.members.filter(({ shareId }) => shareId !== batch.shareId) ?? []);
}

/** Whole packs of a pool that are one owner's; null before it is mixed. */
export function packsDueIn({ members }: Pool, shareId: ShareId, packWeight: Weight): number | null {
  if (members.some(({ added }) => added === null)) return null;
  const at = members.findIndex((each) => each.shareId === shareId);
  const meats = members.map(({ meat }) => meat);
  const mix = sumWeights([...meats, ...members.map(({ added }) => added!)]);
  return packsOfPool(meats, mix, packWeight)[at] ?? 0;
}

/** What the end of a pooled batch is for one owner. */
export type EvenedOut = {
  /** Stayed in the grinder of the owner's meat. */
  readonly film: Weight;
  /** Of the owner's meat in others' packs; below zero where others' is in the owner's. */
  readonly given: Weight;
};

/**
 * The end of a pooled batch: the film is borne by the meat each gave, and what whole packs could not part evenly is said
 * of each owner. What the owners gave comes to nothing together.
 *
 * @param members - with what is left on each owner's account
 */
export function evenOut(members: readonly Pick<PoolMember, 'meat' | 'left'>[]): EvenedOut[] {
  const left = sumWeights(members.map((each) => each.left));
  const films = allocate(
    left,
    members.map(({ meat }) => meat),
  );
  return members.map((member, at) => ({
    film: films[at] as Weight,
    given: (member.left - films[at]!) as Weight,
  }));
}

/** Whose the next pack is allowed to be: a whole pack that is due to the owner, or the odd one of who is most short. */
export function mayPack(
  { members }: Pool,
  shareId: ShareId,
  { due, made }: { readonly due: number; readonly made: number },
): boolean {
  if (made < due) return true;
  const own = members.find((each) => each.shareId === shareId);
  return own !== undefined && members.every(({ left }) => left <= own.left);
}
