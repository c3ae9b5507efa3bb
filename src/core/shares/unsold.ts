import { PARTS, sidesOfPart, type PartShare, type SharePart } from './parts';

/** Percentages that people typed add up within this. */
const LEAST_PCT = 0.01;

/**
 * What of an animal nobody has: the rest of a part that is sold by percent, and the sides and quarters that nobody has a
 * piece of, as large as they go.
 *
 * @param sold - the live shares of one animal
 */
export function unsoldParts(sold: readonly PartShare[]): Required<PartShare>[] {
  const rests = [...new Set(sold.map(({ part }) => part))].flatMap((part) => {
    const same = sold.filter((share) => share.part === part);
    const left = 100 - same.reduce((sum, { sharePct = 100 }) => sum + sharePct, 0);
    return left > LEAST_PCT ? [{ part, sharePct: Math.round(left * 100) / 100 }] : [];
  });
  return [...rests, ...freeParts(sold).map((part) => ({ part, sharePct: 100 }))];
}

function freeParts(sold: readonly PartShare[]): SharePart[] {
  const isFree = (quarter: SharePart) => !sold.some(({ part }) => covers(part, quarter));
  const quarters = PARTS.filter((part) => part.includes('-')).filter(isFree);
  const sides = (['left', 'right'] as const).filter(
    (side) => quarters.filter((each) => each.startsWith(side)).length === 2,
  );
  return [...sides, ...quarters.filter((quarter) => !sides.some((side) => quarter.startsWith(side)))];
}

function covers(part: SharePart, quarter: SharePart): boolean {
  if (part === quarter) return true;
  return !part.includes('-') && sidesOfPart(part).some((side) => quarter.startsWith(side));
}

/** A part in the trade's words: `left half`, `whole`, `left fore quarter`. */
export function wordsOfPart(part: SharePart): string {
  if (part === 'whole') return 'whole';
  return part.includes('-') ? `${part.replace('-', ' ')} quarter` : `${part} half`;
}
