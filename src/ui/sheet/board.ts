import { frameOf } from '@/core/species/sideMapPath';
import type { Decision, SideMap } from '@/core/species/types';

/** The decisions of one zone, beside the side. */
export type BoardGroup = { readonly zone: string; readonly decisions: readonly Decision[] };

/** The two columns between which the side hangs. */
export type Board = { readonly left: readonly BoardGroup[]; readonly right: readonly BoardGroup[] };

/**
 * The decisions of a sheet as they stand beside the hanging side: zones of the back on one side of it, of the belly on
 * the other, each from the hind end down, and within a zone in the cutter's order. Every decision stands once.
 *
 * @param map - as the side hangs: mirrored for a right half
 */
export function boardOf(map: SideMap, decisions: readonly Decision[]): Board {
  const [left, , width] = frameOf(map);
  const zones = [...new Set(decisions.map(({ zone }) => zone))].sort(
    (a, b) => map.labels[a]![1] - map.labels[b]![1],
  );
  const isLeft = (zone: string) => map.labels[zone]![0] < left + width / 2;
  const groups = zones.map((zone) => ({
    zone,
    decisions: decisions.filter((decision) => decision.zone === zone),
  }));
  return {
    left: groups.filter(({ zone }) => isLeft(zone)),
    right: groups.filter(({ zone }) => !isLeft(zone)),
  };
}

/** So many lines of a column, words over its zones among them, leave each line a little more height on any desk. */
const ROOMY_LINES = 20;

/** Whether an animal has so few rows that each may be higher. */
export function isRoomy({ left, right }: Board): boolean {
  const lines = (groups: readonly BoardGroup[]) =>
    groups.reduce((sum, { decisions }) => sum + decisions.length + (decisions.length > 1 ? 1 : 0), 0);
  // The tub has two rows and its word.
  return Math.max(lines(left), lines(right)) + 3 <= ROOMY_LINES;
}

/** The row above, below or beside a row: columns are walked from the hind end down, the tub last. */
export function rowBeside(columns: readonly (readonly string[])[], open: string, way: -1 | 1): string {
  const at = columns.findIndex((column) => column.includes(open));
  const other = columns[(at + way + columns.length) % columns.length]!;
  const place = columns[Math.max(0, at)]!.indexOf(open);
  return other[Math.min(Math.max(0, place), other.length - 1)] ?? open;
}
