import type { YieldRow } from './yieldRow';
import { PARTS, partOf, type Part } from './rates';
import { spreadOf, type Spread } from './spread';

/** Fewer likes than these say nothing of one: no band, no reasons. */
export const FEWEST_LIKES = 8;

/** Facts in which likes are alike: what is compared must be cut and divided alike. */
const ALIKE = ['species', 'boneState', 'school', 'part'] as const satisfies readonly (keyof YieldRow)[];

/** Finished shares like this one, itself left out: same species, bone state, break and part, and weighed hot. */
export function likesOf(row: YieldRow, rows: readonly YieldRow[]): YieldRow[] {
  return rows.filter(
    (each) =>
      each.shareId !== row.shareId && each.hot !== null && ALIKE.every((fact) => each[fact] === row[fact]),
  );
}

/** What pushed one share away from its likes: so many points of its hot weight, below zero where it gave less for it. */
export type Reason = {
  readonly part: Part;
  readonly points: number;
  /** What it has of it and what its likes have, percent of the hot weight. */
  readonly own: number;
  readonly theirs: number;
};

/** One share against its likes. Mean and reasons add up to what it gave. */
export type Against = {
  readonly own: number;
  readonly likes: Spread;
  /** The largest first. */
  readonly reasons: readonly Reason[];
};

const NO_REASON: readonly Part[] = ['packed-hot', 'steaks', 'roasts', 'grind', 'cured', 'bones', 'offal'];

/**
 * Why a share gave more or less than the mean of its likes. A share's hot weight is its packs, and what reached none:
 * bone, fat, skin, glands, air, cure, grinder, what nothing explains. So each of these that it has more of than its
 * likes is a reason, with just the points it took, and the sum is exact.
 *
 * @returns null where there are too few likes, or the share has no hot weight
 */
export function against(row: YieldRow, likes: readonly YieldRow[]): Against | null {
  const own = partOf(row, 'packed-hot');
  if (own === null || likes.length < FEWEST_LIKES) return null;
  const spread = spreadOf(likes.map((each) => partOf(each, 'packed-hot')))!;
  const reasons = PARTS.filter((part) => !NO_REASON.includes(part)).map((part): Reason => {
    const [mine, theirs] = [partOf(row, part)!, spreadOf(likes.map((each) => partOf(each, part)))!.mean];
    return { part, points: theirs - mine, own: mine, theirs };
  });
  return {
    own,
    likes: spread,
    reasons: reasons.sort((a, b) => Math.abs(b.points) - Math.abs(a.points)),
  };
}
