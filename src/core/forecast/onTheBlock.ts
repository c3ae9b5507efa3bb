import { cellsOf, type Cells } from '../atlas/cells';
import { typeOf } from '../carcass/shiftAtlas';
import { noExperience } from '../experience/experience';
import { convertUnits, sumWeights, type Weight } from '../quantity/weight';
import { claimCells, type Claims, type Holding } from '../sheet/claims';
import type { Job, Situation } from '../sheet/situation';
import { wishesOf, type ProductWish } from '../sheet/wishes';
import type { Uncertainty } from '../species/types';
import { cutHolding, type SideOnTheBlock } from './cutting';
import { draftLine, ownCutOf, type DraftLine } from './lines';
import { lengthScaleOf } from './pieces';
import { addLeftovers, addTrim, emptyPools, type GivenCut, type Pools } from './pools';
import { cutSpread, givesOf, uncertaintyOf } from './spread';
import { takeShare } from './takeShare';
import { withExperience } from './withExperience';

/** Who gets which part of a side under a sheet; the ground on which forecast and questions stand. */
export type DividedSide = {
  readonly side: 1 | 2;
  readonly claims: Claims;
  readonly block: SideOnTheBlock;
  readonly lengthScale: number;
};

/** A side cut: its lines, its cuts in the same order, and the weight lost in cutting. */
export type SideResult = {
  readonly drafts: readonly DraftLine[];
  readonly cuts: readonly GivenCut[];
  readonly shrink: number;
};

/** A share cut but not yet ground: its sides, and what is in the tubs. */
export type ShareOnTheBlock = {
  readonly cells: Cells;
  readonly pools: Pools;
  readonly sides: readonly SideResult[];
};

/**
 * Divides the sides of a share among the wishes of its sheet. Both sides of an animal are taken to be built alike:
 * composition and lengths follow their mean weight.
 *
 * @throws RangeError when the number of sides is not the situation's, or its school, breaks or type not the species'
 */
export function divideSides({ situation, sheet, coldSides }: Job): DividedSide[] {
  const { species, unit, condition, sides } = situation;
  if (coldSides.length !== sides) {
    throw new RangeError(`"coldSides" expected ${sides} weights, got ${coldSides.length}`);
  }
  const type = condition && typeOf(species, condition);
  const sideLb = wholeSideLb(situation, coldSides);
  const cells = cellsOf(situation, sideLb);
  const lengthScale = lengthScaleOf(species, sideLb, type?.lengthFactor);
  return coldSides.map((cold, index) => {
    const side = index === 0 ? 1 : 2;
    const block = { species, type, cells, weightLeft: cold * (1 - species.cutting.shrinkShare) };
    const takes = takeShare({ block, unit, lengthScale, sheet, side, sides });
    const claims = claimCells(cells, wishesOf({ situation, sheet, cells }, side), takes);
    return { side, claims, block, lengthScale };
  });
}

/** Pounds of the whole side that a share's weights speak of. */
function wholeSideLb(situation: Situation, coldSides: readonly Weight[]): number {
  const { species, unit, part = 'side' } = situation;
  const mean = sumWeights(coldSides) / coldSides.length;
  const lb = convertUnits(mean / 1000, unit, 'lb');
  if (part === 'side') return lb;
  return lb / cellsOf(situation, species.atlas.reference.sideLb).partOfSide;
}

/** Cuts every side of a share; at full precision, sinew picked out of the lean. */
export function shareOnTheBlock(job: Job, divided: readonly DividedSide[]): ShareOnTheBlock {
  const { situation, coldSides } = job;
  const { cells } = divided[0]!.block;
  const pools = emptyPools(cells.atoms.length);
  const sides = divided.map((each, index) => cutSide(each, { situation, cold: coldSides[index]!, pools }));
  const sinew = pools.lean * situation.species.grind.sinewShare;
  pools.lean -= sinew;
  pools.inedible += sinew;
  return { cells, pools, sides };
}

function cutSide(
  { claims, block, lengthScale }: DividedSide,
  { situation, cold, pools }: { situation: Situation; cold: Weight; pools: Pools },
): SideResult {
  const { species } = situation;
  const uncertainty = uncertaintyOf(species, situation.condition);
  const cuts = claims.holdings.map((holding) =>
    cutOnce({ situation, block, lengthScale, holding, uncertainty }),
  );
  for (const cut of cuts) addTrim(pools, cut, species.grind);
  addLeftovers(pools, block, claims.free);
  return { drafts: cuts.map(({ draft }) => draft), cuts, shrink: cold - block.weightLeft };
}

type Holder = {
  readonly situation: Situation;
  readonly block: SideOnTheBlock;
  readonly lengthScale: number;
  readonly holding: Holding;
  readonly uncertainty: Uncertainty;
};

type CutDone = GivenCut & { readonly draft: DraftLine };

/** As many as the sides of an animal: on each a wish may hold something else. */
const KEPT_CUTS = 2;

/** What a wish last came to. When one answer of a sheet changes, most of its cuts stay as they are. */
const lastCuts = new WeakMap<ProductWish, { readonly from: Holder; readonly done: CutDone }[]>();

function cutOnce(from: Holder): CutDone {
  const { wish } = from.holding;
  const kept = lastCuts.get(wish) ?? [];
  const known = kept.find((each) => isSameCut(each.from, from));
  if (known) return known.done;
  const done = cut(from);
  lastCuts.set(wish, [{ from, done }, ...kept].slice(0, KEPT_CUTS));
  return done;
}

/** Whether nothing differs that a cut depends on. A wish belongs to one form on one carcass. */
function isSameCut(a: Holder, b: Holder): boolean {
  const [held, other] = [a.holding, b.holding];
  return (
    a.situation === b.situation &&
    a.block.weightLeft === b.block.weightLeft &&
    held.divided === other.divided &&
    held.cells.length === other.cells.length &&
    held.fractions.every((fraction, i) => fraction === other.fractions[i]) &&
    held.cells.every((cell, i) => cell === other.cells[i])
  );
}

function cut({ situation, block, lengthScale, holding, uncertainty }: Holder): CutDone {
  const experience = situation.experience?.cuts[ownCutOf(holding)] ?? noExperience(uncertainty);
  const yielded = withExperience(cutHolding(block, holding), experience);
  const gives = givesOf(block.cells, holding, yielded);
  const spread = cutSpread({ gives, cells: block.cells, packaged: yielded.packaged }, uncertainty);
  const draft = draftLine({ situation, block, lengthScale, holding, cut: yielded, spread, experience });
  return { cut: yielded, gives, draft };
}
