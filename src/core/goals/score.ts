import type { ForecastLine } from '../forecast/types';
import { convertUnits, inUnits, sumWeights } from '../quantity/weight';
import type { Evaluation } from '../questions/evaluate';
import { decisionsAsked, optionById, type Situation } from '../sheet/situation';
import type { Answer, Sheet } from '../sheet/types';
import { answerOn } from '../sheet/wishes';
import type { Decision } from '../species/types';
import type { AmountOf, Goal, Wish } from './goals';

/** A pound, or a kilogram, of what is wanted is worth 1; what other wishes are worth beside it. */
export const WORTH = {
  /** A row that goes against what was rather wanted of it. */
  against: 6,
  /** A dollar, a cubic foot, a point of fat, a roast: beyond what was rather wanted. */
  billAtMost: 1,
  freezerAtMost: 75,
  fatAtMost: 8,
  roastsAtLeast: 4,
  /** A dollar less, where it is to be cheap. */
  cheap: 0.5,
} as const;

type Made = { readonly situation: Situation; readonly sheet: Sheet; readonly made: Evaluation };

/** How far a sheet meets the wishes that may be given up; more is better. */
export function scoreOf(goals: readonly Goal[], of: Made): number {
  return goals
    .filter(({ must }) => !must)
    .reduce((sum, { wish, weight }) => sum + weight * worthOf(wish, of), 0);
}

function worthOf(wish: Wish, of: Made): number {
  const { forecast, bill } = of.made;
  switch (wish.kind) {
    case 'most':
      return inUnits(amountOf(wish.of, of.made));
    case 'least':
      return wish.of === 'bill' ? (-WORTH.cheap * bill.total) / 100 : -inUnits(forecast.takeHome);
    case 'keep':
    case 'noBones':
      return -WORTH.against * rowsAgainst(wish, of);
    default:
      return -WORTH[wish.kind] * excessOf(wish, of);
  }
}

/** Whether a sheet holds every must. */
export function meets(goals: readonly Goal[], of: Made): boolean {
  return goals.every(({ wish, must }) => {
    if (!must || wish.kind === 'most' || wish.kind === 'least') return true;
    if (wish.kind === 'keep' || wish.kind === 'noBones') return rowsAgainst(wish, of) === 0;
    return excessOf(wish, of) <= HARDLY;
  });
}

/** Beyond a limit by less than this it is met: rounding. */
const HARDLY = 0.02;

type Limit = Extract<Wish, { kind: 'billAtMost' | 'freezerAtMost' | 'fatAtMost' | 'roastsAtLeast' }>;

function excessOf(wish: Limit, { made: { forecast, bill } }: Made): number {
  switch (wish.kind) {
    case 'billAtMost':
      return Math.max(0, (bill.total - wish.cents) / 100);
    case 'freezerAtMost':
      return Math.max(0, forecast.freezerCuFt - wish.cuFt);
    case 'fatAtMost':
      return Math.max(0, forecast.pool.fatPct - wish.pct);
    case 'roastsAtLeast': {
      const roasts = forecast.lines.filter(({ destination }) => destination === 'roasts');
      return Math.max(0, wish.count - roasts.reduce((sum, { packs }) => sum + packs, 0));
    }
  }
}

function rowsAgainst(wish: Wish, { situation, sheet }: Made): number {
  return decisionsAsked(situation).filter((decision) =>
    ([1, 2] as const).slice(0, situation.sides).some((side) => {
      const answer = answerOn(sheet, decision.id, side);
      return answer !== undefined && isAgainst(wish, situation, decision, answer);
    }),
  ).length;
}

/** Whether an answer goes against what is wanted of its row. */
export function isAgainst(wish: Wish, situation: Situation, decision: Decision, answer: Answer): boolean {
  if (wish.kind === 'noBones') return hasBones(situation, decision, answer);
  if (wish.kind !== 'keep' || wish.decision !== decision.id) return false;
  return answer.forms.some(({ option }) => optionById(decision, option).products.length === 0);
}

/** Whether an answer brings bones home. */
function hasBones({ species }: Situation, decision: Decision, { forms }: Answer): boolean {
  return forms.some(({ option }) =>
    optionById(decision, option).products.some((made) =>
      made.claims.some((claim) => {
        const bone = species.atlas.atoms.find(({ id }) => id === claim.atom)?.composition.bone ?? 0;
        return bone > 0 && (claim.trim?.bone ?? made.trim.bone) < 1;
      }),
    ),
  );
}

/** How much of something a sheet gives, thousandths. */
export function amountOf(of: AmountOf, { forecast }: Evaluation) {
  if (of === 'home') return forecast.takeHome;
  const counts = (line: ForecastLine) =>
    of === 'steaks' || of === 'quick'
      ? isWholeSteak(line) || (of === 'quick' && line.destination === 'grind')
      : line.destination === of;
  return sumWeights(forecast.lines.filter(counts).map(({ packaged }) => packaged));
}

/** Whether a line is steaks or chops that one can count: stew and strips go the same way and are neither. */
export function isWholeSteak({ destination, pieces }: Pick<ForecastLine, 'destination' | 'pieces'>): boolean {
  return destination === 'steaks' && pieces !== null;
}

/** A cubic foot of freezer as weight, in the shop's unit. */
export function weightOfCuFt(cuFt: number, { unit }: Situation): number {
  return convertUnits(cuFt * 37.5, 'lb', unit);
}
