import { group } from 'd3-array';
import { pooledRate, type Pooled } from './rates';
import type { YieldRow } from './yieldRow';

/** What the shares gave that one person cut. */
export type CutterFigures = {
  readonly cutterId: string;
  readonly shares: number;
  readonly packedOnHot: Pooled;
  readonly fat: Pooled;
  readonly bone: Pooled;
  readonly unaccounted: Pooled;
};

/** Who trims how: shares nobody has put a name to are left out. Who cut most is the first. */
export function byCutter(rows: readonly YieldRow[]): CutterFigures[] {
  return [...group(rows, ({ cutterId }) => cutterId)]
    .filter(([cutterId]) => cutterId !== '')
    .map(([cutterId, own]) => ({
      cutterId,
      shares: own.length,
      packedOnHot: pooledRate(own, 'packed-hot'),
      fat: pooledRate(own, 'fat'),
      bone: pooledRate(own, 'bone'),
      unaccounted: pooledRate(own, 'unaccounted'),
    }))
    .sort((a, b) => b.shares - a.shares || (a.cutterId < b.cutterId ? -1 : 1));
}
