/** A rail of the shop, feet long. */
export type Rail = { readonly id: string; readonly name: string; readonly feet: number };

/** A side that hangs, or is booked to; where somebody has hung it, with the foot that its hook is at. */
export type ToHang = {
  readonly id: string;
  readonly feet: number;
  readonly at?: { readonly rail: string; readonly foot: number };
};

export type Hung = {
  readonly id: string;
  readonly from: number;
  readonly feet: number;
  readonly said: boolean;
};

export type RailPlan = {
  readonly rails: readonly { readonly rail: Rail; readonly hung: readonly Hung[] }[];
  /** Sides for which no rail has room. */
  readonly without: readonly string[];
};

/** The least part of a foot between two hooks. */
const DUST = 1e-6;

/**
 * Where everything hangs: what somebody has hung somewhere hangs there, the rest in the first gap that takes it, in
 * the order in which it comes. A side whose said place is not on a rail any more is hung as if nobody had.
 */
export function railPlan(rails: readonly Rail[], sides: readonly ToHang[]): RailPlan {
  const hung = new Map<string, Hung[]>(rails.map(({ id }) => [id, []]));
  const open: ToHang[] = [];
  for (const side of sides) {
    const on = side.at && hung.get(side.at.rail);
    const rail = rails.find(({ id }) => id === side.at?.rail);
    if (on && rail && side.at && fits(rail, on, { from: side.at.foot, feet: side.feet })) {
      on.push({ id: side.id, from: side.at.foot, feet: side.feet, said: true });
    } else open.push(side);
  }
  const without = open.filter((side) => !hangFirst(rails, hung, side)).map(({ id }) => id);
  return {
    rails: rails.map((rail) => ({
      rail,
      hung: [...hung.get(rail.id)!].sort((a, b) => a.from - b.from),
    })),
    without,
  };
}

/** Whether so many feet from there are free on a rail. */
export function fits(
  rail: Rail,
  hung: readonly Pick<Hung, 'from' | 'feet'>[],
  { from, feet }: Stretch,
): boolean {
  if (from < -DUST || from + feet > rail.feet + DUST) return false;
  return hung.every((each) => from + feet <= each.from + DUST || from >= each.from + each.feet - DUST);
}

type Stretch = { readonly from: number; readonly feet: number };

function hangFirst(rails: readonly Rail[], hung: Map<string, Hung[]>, side: ToHang): boolean {
  for (const rail of rails) {
    const on = hung.get(rail.id)!;
    const starts = [0, ...on.map((each) => each.from + each.feet)].sort((a, b) => a - b);
    const from = starts.find((start) => fits(rail, on, { from: start, feet: side.feet }));
    if (from === undefined) continue;
    on.push({ id: side.id, from, feet: side.feet, said: false });
    return true;
  }
  return false;
}

/** Feet in use on a rail. */
export function feetUsed(hung: readonly Pick<Hung, 'feet'>[]): number {
  return hung.reduce((sum, { feet }) => sum + feet, 0);
}
