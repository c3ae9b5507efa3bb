import { frameOf } from '@/core/species/sideMapPath';
import type { Decision, Species } from '@/core/species/types';

/** The decisions of one zone, beside the side. */
export type BoardGroup = { readonly zone: string; readonly decisions: readonly Decision[] };

/** The two columns between which the side hangs. */
export type Board = { readonly back: readonly BoardGroup[]; readonly belly: readonly BoardGroup[] };

/**
 * The decisions of a sheet as they stand beside the hanging side: zones of the back on its left, of the belly on its
 * right, each from the hind end down, and within a zone in the cutter's order. Every decision stands once.
 */
export function boardOf({ sideMap }: Species, decisions: readonly Decision[]): Board {
  const [left, , width] = frameOf(sideMap);
  const zones = [...new Set(decisions.map(({ zone }) => zone))].sort(
    (a, b) => sideMap.labels[a]![1] - sideMap.labels[b]![1],
  );
  const isBack = (zone: string) => sideMap.labels[zone]![0] < left + width / 2;
  const groups = zones.map((zone) => ({
    zone,
    decisions: decisions.filter((decision) => decision.zone === zone),
  }));
  return {
    back: groups.filter(({ zone }) => isBack(zone)),
    belly: groups.filter(({ zone }) => !isBack(zone)),
  };
}

/** The row above, below or beside a row: columns are walked from the hind end down, the tub last. */
export function rowBeside(columns: readonly (readonly string[])[], open: string, way: -1 | 1): string {
  const at = columns.findIndex((column) => column.includes(open));
  const other = columns[(at + way + columns.length) % columns.length]!;
  const place = columns[Math.max(0, at)]!.indexOf(open);
  return other[Math.min(Math.max(0, place), other.length - 1)] ?? open;
}
