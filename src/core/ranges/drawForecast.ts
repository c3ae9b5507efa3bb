import { grindOf } from '../forecast/forecast';
import { divideSides, shareOnTheBlock } from '../forecast/onTheBlock';
import type { GivenCut } from '../forecast/pools';
import { uncertaintyOf } from '../forecast/spread';
import type { Job } from '../sheet/situation';
import { normalsFrom } from './normals';

export type DrawOptions = {
  readonly draws: number;
  /** The same seed draws the same animals. */
  readonly seed: number;
  /** Told now and then how many are drawn; draws no more when it answers false. */
  readonly onProgress?: (drawn: number) => boolean;
};

/** Tenth, middle and ninetieth percentile of what was drawn; thousandths. */
export type Drawn = { readonly p10: number; readonly p50: number; readonly p90: number };

export type Draws = {
  /** Fewer than asked when it was told to stop. */
  readonly drawn: number;
  /** By the key of the line. */
  readonly lines: Readonly<Record<string, Drawn>>;
  readonly grind: Drawn;
  readonly takeHome: Drawn;
};

/** Draws between two calls of `onProgress`. */
const DRAWS_BETWEEN_CALLS = 500;

/**
 * Draws animals and hands beside the forecast: each atom by its own scatter, the shares adding up again, each cut by
 * the hand that trims it, the grind from what is then in the tubs. The slow answer that the ranges of `forecast` are
 * checked against, and the one to ask when a sum of several lines is meant. For a worker.
 */
export function drawForecast(job: Job, { draws, seed, onProgress }: DrawOptions): Draws {
  const { situation, sheet, coldSides } = job;
  const { grind: rules } = situation.species;
  const uncertainty = uncertaintyOf(situation.species, situation.condition);
  const { cells, pools, sides } = shareOnTheBlock(job, divideSides(job));
  const lines = linesOf(
    sides.flatMap((side) => side.drafts.map((draft, at) => ({ ...side.cuts[at]!, draft }))),
  );
  const normal = normalsFrom(seed);
  const samples = lines.map(() => new Float64Array(draws));
  const grind = new Float64Array(draws);
  const takeHome = new Float64Array(draws);
  const factor = new Float64Array(cells.atoms.length);
  let drawn = 0;
  while (drawn < draws) {
    let whole = 0;
    for (let atom = 0; atom < factor.length; atom += 1) {
      factor[atom] = Math.exp(uncertainty.atomCv * normal());
      whole += cells.atomShare[atom]! * factor[atom]!;
    }
    const tub = { lean: 0, looseFat: 0, attachedFat: 0 };
    for (let atom = 0; atom < factor.length; atom += 1) {
      const times = factor[atom]! / whole;
      tub.lean += pools.tub.lean[atom]! * times * (1 - rules.sinewShare);
      tub.looseFat += pools.tub.looseFat[atom]! * times;
      tub.attachedFat += pools.tub.attachedFat[atom]! * times;
    }
    let packed = 0;
    lines.forEach((line, at) => {
      let mass = 0;
      for (const [atom, gift] of line.gives) mass += (gift * factor[atom]!) / whole;
      const hand = mass * (Math.exp(uncertainty.cutCv * line.noiseScale * normal()) - 1);
      const usual = Math.exp(line.logRatioSd * normal());
      tub.lean = Math.max(0, tub.lean - hand * line.leanShare);
      samples[at]![drawn] = (mass + hand) * usual;
      packed += samples[at]![drawn]!;
    });
    grind[drawn] = grindOf(situation, sheet, tub).parts.reduce((sum, part) => sum + part.packaged, 0);
    const fatness = uncertainty.sideSd * coldSides.reduce((sum, side) => sum + side, 0) * normal();
    takeHome[drawn] = packed + grind[drawn]! + fatness;
    drawn += 1;
    if (onProgress && drawn % DRAWS_BETWEEN_CALLS === 0 && !onProgress(drawn)) break;
  }
  return {
    drawn,
    lines: Object.fromEntries(lines.map((line, at) => [line.key, percentiles(samples[at]!, drawn)])),
    grind: percentiles(grind, drawn),
    takeHome: percentiles(takeHome, drawn),
  };
}

type Line = {
  readonly key: string;
  readonly gives: Map<number, number>;
  readonly leanShare: number;
  readonly noiseScale: number;
  readonly logRatioSd: number;
};

/** Both sides of an animal as one line: one animal, one hand. */
function linesOf(
  cuts: readonly (GivenCut & {
    draft: { key: string; experience: { noiseScale: number; logRatioSd: number } };
  })[],
): Line[] {
  const lines = new Map<string, Line>();
  for (const { cut, gives, draft } of cuts) {
    const { noiseScale, logRatioSd } = draft.experience;
    const line = lines.get(draft.key) ?? {
      key: draft.key,
      gives: new Map<number, number>(),
      leanShare: cut.leanShare,
      noiseScale,
      logRatioSd,
    };
    for (const [atom, gift] of gives) line.gives.set(atom, (line.gives.get(atom) ?? 0) + gift);
    lines.set(draft.key, line);
  }
  return [...lines.values()];
}

function percentiles(sample: Float64Array, drawn: number): Drawn {
  const sorted = sample.subarray(0, drawn).slice().sort();
  const at = (part: number) => sorted[Math.min(drawn - 1, Math.floor(part * drawn))] ?? 0;
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
}
