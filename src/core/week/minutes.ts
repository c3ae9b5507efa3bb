/** What a share asks of block and bench, from its plan; pounds and packs. */
export type AskedOfTable = {
  readonly packs: number;
  readonly grindLb: number;
  readonly linksLb: number;
  readonly pattiesLb: number;
  /** Pieces that go into a brine or a rub. */
  readonly cures: number;
};

/** Minutes of bench and grinder (processing figures, scheduling). */
const GRIND_MINUTES_PER_LB = 6 / 25;
const PACKS_PER_MINUTE = 2.5;
const LINK_MINUTES_PER_LB = 9 / 10;
const PATTY_MINUTES_PER_LB = 4 / 10;
const BRINE_MINUTES = 12;

/** A carcass that is cut to several sheets takes so much longer at the block. */
const SPLIT_SHEET = 0.15;

/**
 * Minutes at bench and grinder.
 *
 * @example Math.round(10 * benchMinutes({ packs: 180, grindLb: 90, linksLb: 0, pattiesLb: 0, cures: 0 })) // => 936
 */
export function benchMinutes({ packs, grindLb, linksLb, pattiesLb, cures }: AskedOfTable): number {
  return (
    packs / PACKS_PER_MINUTE +
    grindLb * GRIND_MINUTES_PER_LB +
    linksLb * LINK_MINUTES_PER_LB +
    pattiesLb * PATTY_MINUTES_PER_LB +
    cures * BRINE_MINUTES
  );
}

/** Minutes at the block of an animal that so many sheets divide. */
export function blockMinutesOf(wholeMinutes: number, sheets: number): number {
  return wholeMinutes * (sheets > 1 ? 1 + SPLIT_SHEET : 1);
}
