import type { Forecast, ForecastLine } from '../forecast/types';
import type { Cents } from '../quantity/money';
import { sumWeights, type Weight } from '../quantity/weight';
import { evaluate, type Evaluation, type Ground } from '../questions/evaluate';
import type { Sheet } from '../sheet/types';

/** What a sheet makes of one cut; nothing when it does not make it. */
export type CutOfSheet = {
  readonly packaged: Weight;
  readonly pieces: number | null;
  readonly packs: number;
};

const NONE: CutOfSheet = { packaged: 0 as Weight, pieces: 0, packs: 0 };

/** One cut under two sheets, the second against the first. */
export type CutDifference = {
  readonly cut: string;
  readonly first: CutOfSheet;
  readonly second: CutOfSheet;
  readonly packaged: Weight;
  readonly pieces: number | null;
};

/** Two sheets on the same carcass; differences are the second less the first. */
export type Comparison = {
  readonly first: Evaluation;
  readonly second: Evaluation;
  /** Cuts that differ, those that weigh most first. */
  readonly cuts: readonly CutDifference[];
  readonly takeHome: Weight;
  readonly grind: Weight;
  /** Percentage points. */
  readonly grindFatPct: number;
  readonly freezerCuFt: number;
  readonly charges: Cents;
};

/** Works two sheets out on the same carcass and says what the second gives and takes against the first. */
export function compareSheets(ground: Ground, first: Sheet, second: Sheet): Comparison {
  const [a, b] = [evaluate(ground, first), evaluate(ground, second)];
  return {
    first: a,
    second: b,
    cuts: cutDifferences(a.forecast, b.forecast),
    takeHome: (b.forecast.takeHome - a.forecast.takeHome) as Weight,
    grind: (b.forecast.pool.grind - a.forecast.pool.grind) as Weight,
    grindFatPct: b.forecast.pool.fatPct - a.forecast.pool.fatPct,
    freezerCuFt: b.forecast.freezerCuFt - a.forecast.freezerCuFt,
    charges: (b.bill.total - a.bill.total) as Cents,
  };
}

function cutDifferences(first: Forecast, second: Forecast): CutDifference[] {
  const [before, after] = [byCut(first.lines), byCut(second.lines)];
  const cuts = [...new Set([...before.keys(), ...after.keys()])];
  return cuts
    .map((cut): CutDifference => {
      const [one, two] = [before.get(cut) ?? NONE, after.get(cut) ?? NONE];
      const pieces = one.pieces === null || two.pieces === null ? null : two.pieces - one.pieces;
      return { cut, first: one, second: two, packaged: (two.packaged - one.packaged) as Weight, pieces };
    })
    .filter(({ packaged, pieces }) => packaged !== 0 || (pieces !== null && pieces !== 0))
    .sort((a, b) => Math.abs(b.packaged) - Math.abs(a.packaged) || (a.cut < b.cut ? -1 : 1));
}

function byCut(lines: readonly ForecastLine[]): Map<string, CutOfSheet> {
  const cuts = new Map<string, CutOfSheet>();
  for (const { cut, packaged, pieces, packs } of lines) {
    const so = cuts.get(cut) ?? NONE;
    cuts.set(cut, {
      packaged: sumWeights([so.packaged, packaged]),
      pieces: pieces === null || so.pieces === null ? null : so.pieces + pieces,
      packs: so.packs + packs,
    });
  }
  return cuts;
}
