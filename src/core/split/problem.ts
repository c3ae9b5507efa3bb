/** Packages of one kind that weigh and are worth the same; weighed packages are lots of one. */
export type Lot = {
  /** What is in it: packages of one cut are shared out by count as evenly as they go. */
  readonly cut: string;
  readonly packages: number;
  /** Of one package, thousandths of the shop's unit. */
  readonly weight: number;
  /** Of one package, in any unit of worth; only its proportion counts. */
  readonly worth: number;
};

/** Who shares, and how much of it is theirs, percent; all together 100. */
export type Party = { readonly name: string; readonly sharePct: number };

export type SplitProblem = { readonly lots: readonly Lot[]; readonly parties: readonly Party[] };

/** Packages of each lot that each party gets: `counts[lot][party]`. */
export type SplitCounts = readonly (readonly number[])[];

/** How far each party lies beside its share; thousandths, percent of the whole. */
export type PartyOutcome = {
  readonly name: string;
  readonly packages: number;
  readonly weight: number;
  readonly weightOff: number;
  readonly weightOffPct: number;
  /** In the unit of worth. */
  readonly worthOff: number;
  readonly worthOffPct: number;
};

/** The largest unfairness of a split: the worst party in weight or in worth, percent of the whole. */
export function unfairnessPct(problem: SplitProblem, counts: SplitCounts): number {
  return Math.max(
    0,
    ...outcomesOf(problem, counts).flatMap((party) => [
      Math.abs(party.weightOffPct),
      Math.abs(party.worthOffPct),
    ]),
  );
}

/** What every party gets, and how far that is from its share. */
export function outcomesOf({ lots, parties }: SplitProblem, counts: SplitCounts): PartyOutcome[] {
  const whole = (of: (lot: Lot) => number) => lots.reduce((sum, lot) => sum + lot.packages * of(lot), 0);
  const [weight, worth] = [whole((lot) => lot.weight), whole((lot) => lot.worth)];
  return parties.map((party, at) => {
    const got = (of: (lot: Lot) => number) =>
      lots.reduce((sum, lot, index) => sum + counts[index]![at]! * of(lot), 0);
    const own = party.sharePct / 100;
    const weightOff = got((lot) => lot.weight) - own * weight;
    const worthOff = got((lot) => lot.worth) - own * worth;
    return {
      name: party.name,
      packages: got(() => 1),
      weight: got((lot) => lot.weight),
      weightOff: Math.round(weightOff),
      weightOffPct: weight > 0 ? (100 * weightOff) / weight : 0,
      worthOff,
      worthOffPct: worth > 0 ? (100 * worthOff) / worth : 0,
    };
  });
}

/**
 * Throws when a problem cannot be one: shares that are not 100, counts or weights below zero.
 *
 * @throws RangeError naming what is wrong
 */
export function checkSplit({ lots, parties }: SplitProblem): void {
  const sum = parties.reduce((total, party) => total + party.sharePct, 0);
  if (parties.length < 2) throw new RangeError(`"parties" expected 2 or more, got ${parties.length}`);
  if (Math.abs(sum - 100) > 1e-6) throw new RangeError(`"sharePct" expected 100 together, got ${sum}`);
  for (const lot of lots) {
    if (!Number.isInteger(lot.packages) || lot.packages < 0) {
      throw new RangeError(`"packages" of ${lot.cut} expected a count, got ${lot.packages}`);
    }
    if (!(lot.weight >= 0 && lot.worth >= 0)) {
      throw new RangeError(`"weight" and "worth" of ${lot.cut} expected 0 or more`);
    }
  }
}
