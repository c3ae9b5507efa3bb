import type { Part } from '../carcass/condition';
import type { Species } from '../species/types';

/** What of an animal a household can have; several households of one part share its packages by percent. */
export const PARTS = [
  'whole',
  'left',
  'right',
  'left-fore',
  'left-hind',
  'right-fore',
  'right-hind',
] as const;
export type SharePart = (typeof PARTS)[number];

export type PartShare = {
  readonly part: SharePart;
  /** Percent of the part's packages; all of them when absent. */
  readonly sharePct?: number;
};

export type SidePosition = 'left' | 'right';

/** The sides of a part, first and second. */
export function sidesOfPart(part: SharePart): readonly SidePosition[] {
  if (part === 'whole') return ['left', 'right'];
  return [part.startsWith('left') ? 'left' : 'right'];
}

/** What of a side a part is. */
export function quarterOfPart(part: SharePart): Part {
  if (part.endsWith('fore')) return 'fore';
  return part.endsWith('hind') ? 'hind' : 'side';
}

const QUARTERS_OF_A_SIDE = ['fore', 'hind'] as const;

/** What of the whole animal a part is, by count: a quarter is half of a half, whatever it weighs. */
export function partOfAnimal(part: SharePart): number {
  return quartersOf(part).length / 4;
}

/** Whether two parts have a piece of the animal in common. */
export function overlap(a: SharePart, b: SharePart): boolean {
  const own = quartersOf(a);
  return quartersOf(b).some((quarter) => own.includes(quarter));
}

/** The quarters that a part covers, as `left-fore`. */
function quartersOf(part: SharePart): string[] {
  const of = quarterOfPart(part);
  const quarters = of === 'side' ? QUARTERS_OF_A_SIDE : [of];
  return sidesOfPart(part).flatMap((side) => quarters.map((quarter) => `${side}-${quarter}`));
}

/** A part in words; the side alone where the species is not quartered. */
function partWords({ atlas }: Species, part: string): string {
  const words = atlas.quarters ? part.replace('-', ' ') : part.split('-')[0]!;
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** Percentages that people typed add up within this. */
const PERCENT_DUST = 0.01;

/**
 * Why shares cannot be of one animal, in one sentence; undefined when they can: no quarter is given twice, and the
 * households of one part have all of it between them. Part of an animal may be nobody's yet.
 */
export function sharesProblem(species: Species, shares: readonly PartShare[]): string | undefined {
  const byPart = new Map<SharePart, number>();
  for (const { part, sharePct = 100 } of shares) byPart.set(part, (byPart.get(part) ?? 0) + sharePct);
  const quartered = shares.find((share) => quarterOfPart(share.part) !== 'side');
  if (quartered && !species.atlas.quarters) {
    return `A ${species.name.toLowerCase()} is not quartered: ${quartered.part} is no share of it.`;
  }
  const twiceWhole = [...byPart].find(
    ([part]) => shares.filter((share) => share.part === part && (share.sharePct ?? 100) === 100).length > 1,
  );
  if (twiceWhole) return `${partWords(species, twiceWhole[0])} is given twice.`;
  for (const [part, pct] of byPart) {
    if (Math.abs(pct - 100) > PERCENT_DUST) return `The shares of ${part} add up to ${pct} %, not 100.`;
  }
  const taken = new Set<string>();
  for (const part of byPart.keys()) {
    const twice = quartersOf(part).find((quarter) => taken.has(quarter));
    if (twice) return `${partWords(species, twice)} is given twice.`;
    quartersOf(part).forEach((quarter) => taken.add(quarter));
  }
  return undefined;
}
