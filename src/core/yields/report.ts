import { group } from 'd3-array';
import { sumCents, ZERO_CENTS, type Cents } from '../quantity/money';
import { sumWeights, ZERO_WEIGHT, type Weight } from '../quantity/weight';
import { packedOf, pooledRate, type Pooled } from './rates';
import type { YieldRow } from './yieldRow';

/** What finished shares come to together. */
export type Sums = {
  readonly shares: number;
  readonly animals: number;
  /** Of those that were weighed hot. */
  readonly hot: Weight;
  readonly packed: Weight;
  readonly packs: number;
  readonly packedOnHot: Pooled;
  readonly unaccounted: Pooled;
  /** Minutes that were marked, on the block and at the table, with of how many shares. */
  readonly minutes: { readonly block: Minutes; readonly wrap: Minutes };
};

export type Minutes = { readonly sum: number; readonly of: number };

export function sumsOf(rows: readonly YieldRow[]): Sums {
  return {
    shares: rows.length,
    animals: new Set(rows.map(({ animalId }) => animalId)).size,
    hot: sumWeights(rows.map(({ hot }) => hot ?? ZERO_WEIGHT)),
    packed: sumWeights(rows.map(packedOf)),
    packs: rows.reduce((sum, { packs }) => sum + packs, 0),
    packedOnHot: pooledRate(rows, 'packed-hot'),
    unaccounted: pooledRate(rows, 'unaccounted'),
    minutes: { block: minutesOf(rows, 'block'), wrap: minutesOf(rows, 'wrap') },
  };
}

function minutesOf(rows: readonly YieldRow[], task: 'block' | 'wrap'): Minutes {
  const known = rows.flatMap(({ minutes }) => minutes[task] ?? []);
  return { sum: Math.round(known.reduce((sum, each) => sum + each, 0)), of: known.length };
}

/** Sums of some of the shares, under what they have in common. */
export type Summed = { readonly of: string; readonly sums: Sums };

/** Shares by something they have in common, in the order of it. */
export function summedBy(rows: readonly YieldRow[], of: (row: YieldRow) => string): Summed[] {
  return [...group(rows, of)]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, own]) => ({ of: key, sums: sumsOf(own) }));
}

/** `2026-03` */
export const monthOfRow = ({ closedOn }: Pick<YieldRow, 'closedOn'>): string => closedOn.slice(0, 7);

/** A line of a final bill, in the month in which it was closed. */
export type Charged = { readonly month: string; readonly label: string; readonly amount: Cents };

/** What was charged, kind by kind and month by month. */
export type Charges = {
  readonly months: readonly string[];
  readonly kinds: readonly {
    readonly label: string;
    readonly amounts: readonly Cents[];
    readonly total: Cents;
  }[];
  readonly totals: readonly Cents[];
  readonly total: Cents;
};

/** Charges by kind and month; kinds and months add up to the same total. The dearest kind is the first. */
export function chargesOf(charged: readonly Charged[]): Charges {
  const months = [...new Set(charged.map(({ month }) => month))].sort();
  const sumOf = (lines: readonly Charged[]) =>
    lines.length > 0 ? sumCents(lines.map(({ amount }) => amount)) : ZERO_CENTS;
  const kinds = [...group(charged, ({ label }) => label)].map(([label, lines]) => ({
    label,
    amounts: months.map((month) => sumOf(lines.filter((line) => line.month === month))),
    total: sumOf(lines),
  }));
  return {
    months,
    kinds: kinds.sort((a, b) => b.total - a.total || (a.label < b.label ? -1 : 1)),
    totals: months.map((month) => sumOf(charged.filter((line) => line.month === month))),
    total: sumOf(charged),
  };
}
