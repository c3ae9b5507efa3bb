import { allocate } from '../quantity/allocate';
import { partOfAnimal } from '../shares/parts';
import type { Share } from './animal';

type Live = Pick<Share, 'id' | 'part' | 'position' | 'cancelled'>;

/**
 * The households whose meat is cut as one, by one sheet, and shared out afterwards: those of one part of the animal. The
 * first of them decides; a household that has its part to itself is alone here.
 */
export function cutTogether<S extends Live>(share: S, siblings: readonly S[]): S[] {
  const others = siblings.filter(
    (each) => each.id !== share.id && !each.cancelled && each.part === share.part,
  );
  return [...others, share].sort((a, b) => a.position - b.position);
}

/** The share that decides what is cut: its sheet, its block and its balance are those of all of them. */
export function leadOf<S extends Live>(share: S, siblings: readonly S[]): S {
  return share.cancelled ? share : cutTogether(share, siblings)[0]!;
}

/** A household's own part of a whole number that belongs to all who share it; together exactly all of it. */
export function ownOf(
  whole: number,
  share: Pick<Share, 'id'>,
  together: readonly Pick<Share, 'id' | 'sharePct'>[],
): number {
  if (together.length === 1 && together[0]!.sharePct === 100) return whole;
  const percents = together.map((each) => each.sharePct);
  const nobodys = 100 - percents.reduce((sum, each) => sum + each, 0);
  const index = together.findIndex((each) => each.id === share.id);
  return allocate(whole, nobodys > LEAST_PCT ? [...percents, nobodys] : percents)[index]!;
}

/** Percentages that people typed add up within this. */
const LEAST_PCT = 0.01;

/** What of the whole animal a share is, 0 to 1. */
export function fractionOf({ part, sharePct }: Pick<Share, 'part' | 'sharePct'>): number {
  return (partOfAnimal(part) * sharePct) / 100;
}

/** What of the whole animal nobody has bought, 0 to 1; crumbs of percentages are nobody's. */
export function unsoldFraction(sold: readonly Pick<Share, 'part' | 'sharePct'>[]): number {
  const left = 1 - sold.reduce((sum, share) => sum + fractionOf(share), 0);
  return left > LEAST_PCT / 100 ? left : 0;
}
