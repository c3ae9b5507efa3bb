import type { GrindLine, GrindOrder } from '../sheet/types';
import type { GrindRules } from '../species/types';

/** One line of the grind at full precision, thousandths. */
export type GrindPart = {
  readonly line: GrindLine;
  readonly packaged: number;
  /** What smoke and drying take away. */
  readonly cureLoss: number;
};

/** The trim that a grind is drawn from; any unit of weight. */
export type Trim = {
  /** Lean, sinew picked out. */
  readonly lean: number;
  readonly looseFat: number;
  /** Fat that cannot be culled: it sets how lean the grind can come out. */
  readonly attachedFat: number;
};

export type GrindResult = {
  readonly fatUsed: number;
  /** Lean that is lost with the fat that is picked from the trim by hand. */
  readonly leanPicked: number;
  /** Fat of the grind, counted as the species counts it. */
  readonly fatPct: number;
  /** The leanest this trim can come out, counted the same way. */
  readonly floorPct: number;
  readonly parts: readonly GrindPart[];
  readonly loss: number;
  /** Trim that this shop throws away beside the reference; below zero where it grinds what others trim off. */
  readonly discarded: number;
  /** Lost by the packed pounds to the air. */
  readonly airLoss: number;
};

/**
 * Fat to add to lean for a share of separable fat: F = lean x t / (1 - t).
 *
 * @param lean - any unit of weight
 * @param fatPct - percent of separable fat in the grind, 0 up to but not including 100
 * @example fatNeeded(52, 20) // => 13
 */
export function fatNeeded(lean: number, fatPct: number): number {
  return (lean * fatPct) / (100 - fatPct);
}

/** What a grind's fat is counted by. `lipidLean` may be the carcass' own. */
export type FatCount = Pick<GrindRules, 'fatBasis'> & { readonly lipid: GrindRules['lipid'] };

/**
 * Percent of separable fat that makes a wished percentage, as the species counts it: total fat t needs
 * s = (t - lipid of lean) / (lipid of fat - lipid of lean).
 *
 * @example separablePct(25, { fatBasis: 'separable', lipid: { lean: 0.03, fat: 0.93 } }) // => 25
 */
export function separablePct(fatPct: number, { fatBasis, lipid }: FatCount): number {
  if (fatBasis === 'separable') return fatPct;
  return Math.max(0, (100 * (fatPct / 100 - lipid.lean)) / (lipid.fat - lipid.lean));
}

/**
 * Fat of a mix as the species counts it, percent.
 *
 * @example fatPctOf(52, 13, { fatBasis: 'total', lipid: { lean: 0.05, fat: 0.8 } }) // => 20
 */
export function fatPctOf(lean: number, fat: number, { fatBasis, lipid }: FatCount): number {
  if (lean + fat <= 0) return 0;
  const counted = fatBasis === 'separable' ? fat : lean * lipid.lean + fat * lipid.fat;
  return (100 * counted) / (lean + fat);
}

/** What a grind is drawn by. */
export type GrindBy = {
  readonly rules: GrindRules;
  readonly lipid?: GrindRules['lipid'];
  readonly packShrinkShare?: number;
  /** What is left of what a line draws when it comes out of smoke or drying, as a share; 1 where nobody says. */
  readonly finished?: (line: GrindLine) => number;
  /** What this shop grinds of a tub against the reference; 1 where nobody says. */
  readonly ratio?: number;
};

/** Of the fat that the wish leaves over a shop may grind this part all the same, and not more. */
const MOST_FAT_GROUND = 0.9;

/**
 * Draws the grind from the trim: all the lean and the fat that hangs on it, then loose fat up to the wish and never
 * more than there is. Lines with a weight are filled first, in order; the line that takes the rest gets what is
 * left. Links lose more in the casing, what is smoked or dried loses there too. Nothing is lost: lean + fat used = parts +
 * cure + loss + air + discarded.
 *
 * @param by - the species' rules; the carcass' own lipid; what is lost from every packed pound
 */
export function grindTrim(
  trim: Trim,
  order: GrindOrder,
  { rules, lipid = rules.lipid, packShrinkShare = 0, finished = () => 1, ratio = 1 }: GrindBy,
): GrindResult {
  const count = { fatBasis: rules.fatBasis, lipid };
  const { lean, looseFat, attachedFat } = trim;
  const picked = order.picked ? pickedTrim({ lean, attachedFat }, order.fatPct, { count, rules }) : undefined;
  const ground = picked ?? { lean, attachedFat };
  const needed = fatNeeded(ground.lean, Math.min(99, separablePct(order.fatPct, count)));
  const fatUsed = ground.attachedFat + Math.min(looseFat, Math.max(0, needed - ground.attachedFat));
  const mixed = ground.lean + fatUsed;
  const surplus = looseFat + attachedFat - fatUsed;
  const discarded = Math.max(mixed * (1 - ratio), -surplus * MOST_FAT_GROUND);
  const drawn = mixed - discarded;
  const milled = drawn * (1 - rules.grinderLossShare);
  const { parts, left } = fillLines(milled, order.lines, { rules, packShrinkShare, finished });
  if (left > 0 && parts.length > 0) parts[parts.length - 1] = addTo(parts[parts.length - 1]!, left, finished);
  const full = parts.reduce((sum, part) => sum + part.packaged, 0);
  const cured = parts.reduce((sum, part) => sum + part.cureLoss, 0);
  return {
    fatUsed,
    leanPicked: lean - ground.lean,
    fatPct: fatPctOf(ground.lean, fatUsed, count),
    floorPct: fatPctOf(lean, attachedFat, count),
    parts: parts.map((part) => ({ ...part, packaged: part.packaged * (1 - packShrinkShare) })),
    loss: drawn - full - cured,
    discarded,
    airLoss: full * packShrinkShare,
  };
}

type Attached = Pick<Trim, 'lean' | 'attachedFat'>;

/**
 * Trim with fat picked from it by hand until it is as lean as asked, as far as a hand goes: for every point of fat some
 * of the trim is lost, lean with the fat (`picking` of the rules). Undefined when it is lean enough.
 *
 * @param askedPct - fat of the grind, percent, as the species counts it
 */
export function pickedTrim(
  { lean, attachedFat }: Attached,
  askedPct: number,
  { count, rules: { picking } }: { count: FatCount; rules: Pick<GrindRules, 'picking'> },
): Attached | undefined {
  const whole = lean + attachedFat;
  const points = Math.min(picking.mostPoints, fatPctOf(lean, attachedFat, count) - askedPct);
  if (whole <= 0 || points <= 0) return undefined;
  const left = whole * (1 - (picking.lossPctPerPoint * points) / 100);
  const fatShare = separablePct(fatPctOf(lean, attachedFat, count) - points, count) / 100;
  const leanLeft = Math.min(lean, left * (1 - fatShare));
  return { lean: leanLeft, attachedFat: Math.min(attachedFat, (leanLeft * fatShare) / (1 - fatShare)) };
}

/** Pounds of grind, or any unit, that picking the trim as lean as asked would take away; 0 when it is lean enough. */
export function pickingLoss(
  trim: Attached,
  askedPct: number,
  by: Required<Pick<GrindBy, 'rules' | 'lipid'>>,
): number {
  const count = { fatBasis: by.rules.fatBasis, lipid: by.lipid };
  const picked = pickedTrim(trim, askedPct, { count, rules: by.rules });
  return picked ? trim.lean + trim.attachedFat - picked.lean - picked.attachedFat : 0;
}

function addTo(part: GrindPart, more: number, finished: Finished): GrindPart {
  const share = finished(part.line);
  return {
    line: part.line,
    packaged: part.packaged + more * share,
    cureLoss: part.cureLoss + more * (1 - share),
  };
}

type Finished = Required<GrindBy>['finished'];

function fillLines(
  ground: number,
  lines: readonly GrindLine[],
  { rules, packShrinkShare, finished }: Required<Omit<GrindBy, 'lipid' | 'ratio'>>,
): { parts: GrindPart[]; left: number } {
  let left = ground;
  const drawn = new Map<GrindLine, number>();
  for (const line of lines) {
    if (line.amount.kind !== 'weight') continue;
    const kept = (1 - casingLoss(line, rules)) * finished(line) * (1 - packShrinkShare);
    const draw = Math.min(left, line.amount.weight / kept);
    drawn.set(line, draw);
    left -= draw;
  }
  const rest = lines.filter((line) => line.amount.kind === 'rest');
  rest.forEach((line) => drawn.set(line, left / rest.length));
  const parts = lines.map((line) => {
    const stuffed = (drawn.get(line) ?? 0) * (1 - casingLoss(line, rules));
    const packaged = stuffed * finished(line);
    return { line, packaged, cureLoss: stuffed - packaged };
  });
  return { parts, left: rest.length > 0 ? 0 : left };
}

function casingLoss(line: GrindLine, rules: GrindRules): number {
  return line.form === 'bulk' || line.form === 'patties' ? 0 : rules.casingLossShare;
}
