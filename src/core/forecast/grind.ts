import type { GrindRules } from '../species/types';
import type { GrindLine, GrindOrder } from '../sheet/types';

/** One line of the grind at full precision, thousandths. */
export type GrindPart = { readonly line: GrindLine; readonly packaged: number };

export type GrindResult = {
  readonly fatUsed: number;
  readonly fatPct: number;
  readonly parts: readonly GrindPart[];
  readonly loss: number;
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

/**
 * Draws the grind from the trim: all the lean, fat up to the wish and never more than there is. Lines with a
 * weight are filled first, in order; the line that takes the rest gets what is left. Links lose more in the
 * casing. Nothing is lost: fat used + lean = parts + loss.
 */
export function grindTrim(lean: number, fat: number, order: GrindOrder, rules: GrindRules): GrindResult {
  const fatUsed = Math.min(fat, fatNeeded(lean, order.fatPct));
  const mixed = lean + fatUsed;
  const ground = mixed * (1 - rules.grinderLossShare);
  const { parts, left } = fillLines(ground, order.lines, rules);
  const packaged = parts.reduce((sum, part) => sum + part.packaged, 0) + left;
  if (left > 0 && parts.length > 0) parts[parts.length - 1] = addTo(parts[parts.length - 1]!, left);
  return { fatUsed, fatPct: mixed > 0 ? (100 * fatUsed) / mixed : 0, parts, loss: mixed - packaged };
}

function addTo(part: GrindPart, more: number): GrindPart {
  return { line: part.line, packaged: part.packaged + more };
}

function fillLines(
  ground: number,
  lines: readonly GrindLine[],
  rules: GrindRules,
): { parts: GrindPart[]; left: number } {
  let left = ground;
  const drawn = new Map<GrindLine, number>();
  for (const line of lines) {
    if (line.amount.kind !== 'weight') continue;
    const draw = Math.min(left, line.amount.weight / (1 - casingLoss(line, rules)));
    drawn.set(line, draw);
    left -= draw;
  }
  const rest = lines.filter((line) => line.amount.kind === 'rest');
  rest.forEach((line) => drawn.set(line, left / rest.length));
  const parts = lines.map((line) => ({
    line,
    packaged: (drawn.get(line) ?? 0) * (1 - casingLoss(line, rules)),
  }));
  return { parts, left: rest.length > 0 ? 0 : left };
}

function casingLoss(line: GrindLine, rules: GrindRules): number {
  return line.form === 'links' ? rules.casingLossShare : 0;
}
