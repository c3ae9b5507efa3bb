import { allocate } from '../quantity/allocate';
import { partOfAnimal, type SharePart } from './parts';

/** A household's percentage of what is cut as one with it. */
export type Portion = { readonly id: string; readonly sharePct: number };

/** Percentages that people typed add up within this. */
const LEAST_PCT = 0.01;

/** A household's own part of a whole number that belongs to all who share it; together exactly all of it. */
export function ownOf(whole: number, { id }: Pick<Portion, 'id'>, together: readonly Portion[]): number {
  if (together.length === 1 && together[0]!.sharePct === 100) return whole;
  const percents = together.map((each) => each.sharePct);
  const nobodys = 100 - percents.reduce((sum, each) => sum + each, 0);
  const index = together.findIndex((each) => each.id === id);
  return allocate(whole, nobodys > LEAST_PCT ? [...percents, nobodys] : percents)[index]!;
}

/** What of the whole animal a share is, 0 to 1. */
export function fractionOf({ part, sharePct }: { part: SharePart; sharePct: number }): number {
  return (partOfAnimal(part) * sharePct) / 100;
}

/** What of the whole animal nobody has bought, 0 to 1; crumbs of percentages are nobody's. */
export function unsoldFraction(sold: readonly { part: SharePart; sharePct: number }[]): number {
  const left = 1 - sold.reduce((sum, share) => sum + fractionOf(share), 0);
  return left > LEAST_PCT / 100 ? left : 0;
}
