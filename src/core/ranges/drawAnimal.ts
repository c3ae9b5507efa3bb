import { grindOf } from '../forecast/forecast';
import { divideSides, shareOnTheBlock } from '../forecast/onTheBlock';
import type { GivenCut } from '../forecast/pools';
import { leanOf } from '../forecast/shareSpread';
import { uncertaintyOf } from '../forecast/spread';
import type { Job } from '../sheet/situation';

/** One animal as it came out, thousandths. */
export type DrawnAnimal = {
  /** Packed of each line, in the order of the drawer's lines. */
  readonly lines: Float64Array;
  readonly grind: number;
  readonly takeHome: number;
};

/** How a shop's hand differs from what is forecast: natural logarithms. */
export type Hand = { readonly cut: (ownCut: string) => number; readonly grind: () => number };

/** Draws one animal after the other for the same job. */
export type Drawer = {
  readonly lines: readonly { readonly key: string; readonly ownCut: string }[];
  readonly draw: () => DrawnAnimal;
};

/**
 * Draws animals and hands: each atom by its own scatter, the shares adding up again; each cut by the hand that trims
 * it, the tub from what it takes off; how fat the animal is, in all its lines at once; and a shop's own usual, drawn
 * as unsure as the forecast is of it unless a `hand` says what it is.
 *
 * @param normal - standard normal numbers
 */
export function drawerOf(job: Job, normal: () => number, hand?: Hand): Drawer {
  const { situation, sheet, coldSides } = job;
  const { grind: rules, ...species } = situation.species;
  const uncertainty = uncertaintyOf(situation.species, situation.condition);
  const { cells, pools, sides } = shareOnTheBlock(job, divideSides(job));
  const lines = linesOf(
    sides.flatMap((side) => side.drafts.map((draft, at) => ({ ...side.cuts[at]!, draft }))),
  );
  const ground = (trim: typeof pools) =>
    grindOf(situation, sheet, trim).parts.reduce((sum, part) => sum + part.packaged, 0);
  const boxes = ground(pools) + lines.reduce((sum, { packaged }) => sum + packaged, 0);
  const cold = coldSides.reduce((sum, side) => sum + side, 0);
  const togetherSd = boxes > 0 ? (uncertainty.sideSd * cold) / boxes : 0;
  const usualGrind = hand?.grind ?? (() => species.uncertainty.priorSd * normal());
  const factor = new Float64Array(cells.atoms.length);

  const draw = (): DrawnAnimal => {
    let whole = 0;
    for (let atom = 0; atom < factor.length; atom += 1) {
      factor[atom] = Math.exp(uncertainty.atomCv * normal());
      whole += cells.atomShare[atom]! * factor[atom]!;
    }
    const tub = { ...pools, lean: 0, looseFat: 0, attachedFat: 0 };
    for (let atom = 0; atom < factor.length; atom += 1) {
      const times = factor[atom]! / whole;
      tub.lean += pools.tub.lean[atom]! * times * (1 - rules.sinewShare);
      tub.looseFat += pools.tub.looseFat[atom]! * times;
      tub.attachedFat += pools.tub.attachedFat[atom]! * times;
    }
    const together = Math.exp(togetherSd * normal());
    const packed = Float64Array.from(lines, (line) => {
      let mass = 0;
      for (const [atom, gift] of line.gives) mass += (gift * factor[atom]!) / whole;
      const usual = hand ? hand.cut(line.ownCut) : line.logRatioSd * normal();
      const left = mass * (Math.exp(usual) - 1);
      const scatter = (mass + left) * (Math.exp(uncertainty.cutCv * line.noiseScale * normal()) - 1);
      const { leanShare, leanOfTrim } = line;
      const lean = left * (left < 0 ? leanShare : leanOfTrim) + (scatter * (leanShare + leanOfTrim)) / 2;
      tub.lean = Math.max(0, tub.lean - lean);
      return (mass + left + scatter) * together;
    });
    const grind = ground(tub) * Math.exp(usualGrind()) * together;
    return { lines: packed, grind, takeHome: packed.reduce((sum, each) => sum + each, grind) };
  };
  return { lines, draw };
}

type Line = {
  readonly key: string;
  readonly ownCut: string;
  readonly gives: Map<number, number>;
  /** Lean of what a hand takes off it, and of what a hand leaves on. */
  readonly leanShare: number;
  readonly leanOfTrim: number;
  readonly packaged: number;
  readonly noiseScale: number;
  readonly logRatioSd: number;
};

/** Both sides of an animal as one line: one animal, one hand. */
function linesOf(
  cuts: readonly (GivenCut & {
    draft: {
      key: string;
      ownCut: string;
      packaged: number;
      experience: { noiseScale: number; logRatioSd: number };
    };
  })[],
): Line[] {
  const lines = new Map<string, Line>();
  for (const { cut, gives, draft } of cuts) {
    const { noiseScale, logRatioSd } = draft.experience;
    const known = lines.get(draft.key);
    const line = {
      key: draft.key,
      ownCut: draft.ownCut,
      gives: known?.gives ?? new Map<number, number>(),
      leanShare: cut.leanShare,
      leanOfTrim: leanOf(cut.trim),
      packaged: (known?.packaged ?? 0) + draft.packaged,
      noiseScale,
      logRatioSd,
    };
    for (const [atom, gift] of gives) line.gives.set(atom, (line.gives.get(atom) ?? 0) + gift);
    lines.set(draft.key, line);
  }
  return [...lines.values()];
}
