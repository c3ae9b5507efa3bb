/** The weights of an animal from the field to the box; one unit. Absent where nobody weighed. */
export type YieldChain = {
  readonly live?: number;
  readonly hot: number;
  readonly cold: number;
  readonly packaged: number;
};

/** Yields with the denominator in the name, percent; null where the denominator was not weighed. */
export type Yields = {
  readonly dressingPct: number | null;
  readonly packagedOnHotPct: number;
  readonly packagedOnColdPct: number;
  readonly packagedOnLivePct: number | null;
};

/** The yields of an animal, each with the weight it stands on. */
export function yieldsOf({ live, hot, cold, packaged }: YieldChain): Yields {
  const pct = (part: number, whole: number) => (whole > 0 ? (100 * part) / whole : 0);
  return {
    dressingPct: live === undefined ? null : pct(hot, live),
    packagedOnHotPct: pct(packaged, hot),
    packagedOnColdPct: pct(packaged, cold),
    packagedOnLivePct: live === undefined ? null : pct(packaged, live),
  };
}
