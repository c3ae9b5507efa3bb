import type { BoneState } from '../experience/boneState';
import type { Day } from '../time/shopTime';
import type { YieldRow } from './yieldRow';

/** Which finished shares are looked at; empty text is every one. */
export type YieldFilter = {
  readonly species: string;
  readonly boneState: BoneState | '';
  readonly farmId: string;
  readonly type: string;
  readonly school: string;
  readonly part: string;
  /** Who cut it; the owner's to ask. */
  readonly cutterId: string;
  readonly since: Day | '';
};

export const FACTS = ['boneState', 'farmId', 'type', 'school', 'part', 'cutterId'] as const;
export type Fact = (typeof FACTS)[number];

/** Whether a share is looked at. */
export function matches(row: YieldRow, filter: YieldFilter): boolean {
  return (
    row.species === filter.species &&
    (filter.since === '' || row.closedOn >= filter.since) &&
    FACTS.every((fact) => filter[fact] === '' || row[fact] === filter[fact])
  );
}

/** What a fact can be chosen as, of the shares that all the other choices leave, with how many there are. */
export function choicesOf(
  rows: readonly YieldRow[],
  filter: YieldFilter,
  fact: Fact,
): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const row of rows) {
    if (!matches(row, { ...filter, [fact]: '' })) continue;
    counts.set(row[fact], (counts.get(row[fact]) ?? 0) + 1);
  }
  return counts;
}
