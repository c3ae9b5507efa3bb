import { outcomesOf, type Lot, type SplitCounts, type SplitProblem } from './problem';

/** Guards floor and ceiling of shares that should come out whole. */
const ROUNDING_DUST = 1e-9;

/** Exchanges between two parties that are weighed against each other; beyond these an even sample of them. */
const MOST_MOVES = 160;
const MOST_PAIRS_OF_MOVES = 5000;

/** Rounds of exchanges, each between every party and the next, in another order each time. */
const MOST_ROUNDS = 400;
/** Pairs of exchanges set against each other before the best split so far is taken: a second's work. */
const MOST_COMPARED = 40_000_000;
/** A prime, so that the packages shaken differ from round to round. */
const SHAKE_STEP = 7919;

/** What a party may get of a cut: its share of the packages, rounded down or up. */
export type CutLimits = { readonly least: number; readonly most: number };

export function limitsOf(packages: number, sharePct: number): CutLimits {
  const own = (packages * sharePct) / 100;
  return { least: Math.floor(own + ROUNDING_DUST), most: Math.ceil(own - ROUNDING_DUST) };
}

/** Lots of one cut together, by index. */
export function lotsByCut(lots: readonly Lot[]): ReadonlyMap<string, readonly number[]> {
  const byCut = new Map<string, number[]>();
  lots.forEach((lot, at) => byCut.set(lot.cut, [...(byCut.get(lot.cut) ?? []), at]));
  return byCut;
}

/** A problem with each package's part of all the weight and worth, percent, and who may have how many of each cut. */
type Scaled = {
  readonly lots: readonly Lot[];
  readonly parties: SplitProblem['parties'];
  readonly weightPct: readonly number[];
  readonly worthPct: readonly number[];
  readonly cuts: readonly { readonly lots: readonly number[]; readonly limits: readonly CutLimits[] }[];
};

function scale({ lots, parties }: SplitProblem): Scaled {
  const whole = (of: (lot: Lot) => number) => lots.reduce((sum, lot) => sum + lot.packages * of(lot), 0);
  const percent = (of: (lot: Lot) => number): number[] => {
    const all = whole(of);
    return lots.map((lot) => (all > 0 ? (100 * of(lot)) / all : 0));
  };
  const cuts = [...lotsByCut(lots).values()].map((at) => {
    const packages = at.reduce((sum, lot) => sum + lots[lot]!.packages, 0);
    return { lots: at, limits: parties.map(({ sharePct }) => limitsOf(packages, sharePct)) };
  });
  return {
    lots,
    parties,
    weightPct: percent((lot) => lot.weight),
    worthPct: percent((lot) => lot.worth),
    cuts,
  };
}

/** Percent by which each party lies above its share. */
type Off = { weight: number; worth: number };

function offOf(problem: SplitProblem, counts: SplitCounts): Off[] {
  return outcomesOf(problem, counts).map(({ weightOffPct, worthOffPct }) => ({
    weight: weightOffPct,
    worth: worthOffPct,
  }));
}

/**
 * A fair split found fast: the heaviest packages first, each to whom most is missing; then between two parties at a
 * time the set of up to four exchanges that brings one of them nearest to its share. Every cut stays as even as it
 * goes. How good it is, somebody else must say.
 *
 * @param isGoodEnough - ends the search
 */
export function exchangeSplit(
  problem: SplitProblem,
  isGoodEnough: (counts: SplitCounts) => boolean,
): SplitCounts {
  const scaled = scale(problem);
  const work: Work = { compared: 0 };
  let best: SplitCounts = heaviestFirst(scaled);
  let least = worst(offOf(problem, best));
  for (let round = 0; round < MOST_ROUNDS && work.compared < MOST_COMPARED; round += 1) {
    if (isGoodEnough(best)) break;
    const counts = copyOf(best);
    const order = orderOf(problem.parties.length, round);
    const meetings = order.slice(1).map((to, at) => ({ from: order[at]!, to }));
    if (round > 0) for (const meeting of meetings) shake(scaled, counts, { ...meeting, round });
    for (const meeting of meetings) settle(scaled, counts, { ...meeting, off: offOf(problem, counts), work });
    const now = worst(offOf(problem, counts));
    if (now < least) [best, least] = [counts, now];
  }
  return best;
}

/** How much has been tried; the same on every machine. */
type Work = { compared: number };

/** All parties, in an order of the round's own. */
function orderOf(parties: number, round: number): number[] {
  const step = strideOf(parties, round);
  return Array.from({ length: parties }, (_, at) => (at * step + round) % parties);
}

/** A step that comes by every party once. */
function strideOf(parties: number, round: number): number {
  const steps = Array.from({ length: parties }, (_, at) => at + 1).filter((step) => coprime(step, parties));
  return steps[round % steps.length]!;
}

function coprime(a: number, b: number): boolean {
  return b === 0 ? a === 1 : coprime(b, a % b);
}

function copyOf(counts: SplitCounts): number[][] {
  return counts.map((each) => [...each]);
}

function worst(off: readonly Off[]): number {
  return Math.max(...off.flatMap(({ weight, worth }) => [Math.abs(weight), Math.abs(worth)]));
}

function heaviestFirst({ lots, parties, weightPct, worthPct, cuts }: Scaled): number[][] {
  const counts = lots.map(() => parties.map(() => 0));
  const missing = parties.map(({ sharePct }) => ({ weight: sharePct, worth: sharePct }));
  const cutOf = new Map(cuts.flatMap((cut) => cut.lots.map((lot) => [lot, cut] as const)));
  const left = new Map(cuts.map((cut) => [cut, cut.lots.reduce((sum, lot) => sum + lots[lot]!.packages, 0)]));
  const got = new Map(cuts.map((cut) => [cut, parties.map(() => 0)]));
  const size = (lot: number) => weightPct[lot]! + worthPct[lot]!;
  const order = lots.map((_, at) => at).sort((a, b) => size(b) - size(a) || a - b);
  for (const lot of order) {
    const cut = cutOf.get(lot)!;
    const own = got.get(cut)!;
    for (let given = 0; given < lots[lot]!.packages; given += 1) {
      const owed = cut.limits.map(({ least }, party) => Math.max(0, least - own[party]!));
      const spare = left.get(cut)! - owed.reduce((sum, each) => sum + each, 0);
      const may = parties.flatMap((_, party) =>
        own[party]! < cut.limits[party]!.most && (owed[party]! > 0 || spare > 0) ? [party] : [],
      );
      const lacks = (party: number) =>
        (missing[party]!.weight + missing[party]!.worth) / parties[party]!.sharePct;
      const to = may.reduce((most, party) => (lacks(party) > lacks(most) ? party : most));
      counts[lot]![to]! += 1;
      own[to]! += 1;
      left.set(cut, left.get(cut)! - 1);
      missing[to]!.weight -= weightPct[lot]!;
      missing[to]!.worth -= worthPct[lot]!;
    }
  }
  return counts;
}

/** Packages that change hands between two parties: `gives` goes over, `takes` comes back; either may be none. */
type Move = {
  readonly gives: number;
  readonly takes: number;
  /** The cut of which one party has a package more afterwards; -1 for a swap. */
  readonly cut: number;
  readonly weight: number;
  readonly worth: number;
};

const NONE = -1;

type Meeting = { readonly from: number; readonly to: number };

/** Makes the exchanges between two parties that bring the first nearest to its share; none when none does. */
function settle(
  scaled: Scaled,
  counts: number[][],
  { off, work, ...meeting }: Meeting & { readonly off: readonly Off[]; readonly work: Work },
): void {
  const moves = evenSample(movesBetween(scaled, counts, meeting), MOST_MOVES);
  for (const move of nearest(pairsOf(moves), off[meeting.from]!, work)) make(counts, move, meeting);
}

/** One exchange that nobody asked for, so that the next ones start elsewhere. */
function shake(
  scaled: Scaled,
  counts: number[][],
  { round, ...meeting }: Meeting & { readonly round: number },
): void {
  const moves = movesBetween(scaled, counts, meeting);
  if (moves.length > 0) make(counts, moves[(round * SHAKE_STEP) % moves.length]!, meeting);
}

function make(counts: number[][], { gives, takes }: Move, { from, to }: Meeting): void {
  if (gives !== NONE) shift(counts[gives]!, from, to);
  if (takes !== NONE) shift(counts[takes]!, to, from);
}

function shift(counts: number[], from: number, to: number): void {
  counts[from]! -= 1;
  counts[to]! += 1;
}

/** Swaps within a cut, and single packages where both may have one more or less. */
function movesBetween(
  { cuts, weightPct, worthPct }: Scaled,
  counts: SplitCounts,
  { from, to }: Meeting,
): Move[] {
  const moves: Move[] = [];
  const add = (gives: number, takes: number, cut: number) => {
    const part = (of: readonly number[]) => (of[gives] ?? 0) - (of[takes] ?? 0);
    moves.push({ gives, takes, cut, weight: part(weightPct), worth: part(worthPct) });
  };
  cuts.forEach(({ lots, limits }, cut) => {
    const has = (party: number) => lots.reduce((sum, lot) => sum + counts[lot]![party]!, 0);
    const mine = lots.filter((lot) => counts[lot]![from]! > 0);
    const theirs = lots.filter((lot) => counts[lot]![to]! > 0);
    for (const gives of mine) for (const takes of theirs) if (gives !== takes) add(gives, takes, NONE);
    const [here, there] = [has(from), has(to)];
    if (here > limits[from]!.least && there < limits[to]!.most) for (const lot of mine) add(lot, NONE, cut);
    if (there > limits[to]!.least && here < limits[from]!.most) for (const lot of theirs) add(NONE, lot, cut);
  });
  return moves;
}

function evenSample<Each>(all: readonly Each[], most: number): readonly Each[] {
  if (all.length <= most) return all;
  return Array.from({ length: most }, (_, at) => all[Math.floor((at * all.length) / most)]!);
}

/** Two exchanges at most, made together. */
type Pair = { readonly moves: readonly Move[]; readonly weight: number; readonly worth: number };

function pairsOf(moves: readonly Move[]): Pair[] {
  const pairs: Pair[] = [];
  moves.forEach((one, at) => {
    for (const other of moves.slice(at + 1)) {
      if (!goTogether(one, other)) continue;
      pairs.push({ moves: [one, other], weight: one.weight + other.weight, worth: one.worth + other.worth });
    }
  });
  const single = moves.map((move) => ({ moves: [move], weight: move.weight, worth: move.worth }));
  return [{ moves: [], weight: 0, worth: 0 }, ...single, ...evenSample(pairs, MOST_PAIRS_OF_MOVES)];
}

/** Whether two exchanges touch different packages, and do not both change how many somebody has of one cut. */
function goTogether(a: Move, b: Move): boolean {
  if (a.cut !== NONE && a.cut === b.cut) return false;
  const touched = [a.gives, a.takes].filter((lot) => lot !== NONE);
  return !touched.includes(b.gives) && !touched.includes(b.takes);
}

/** How near is looked for first, as parts of how far off it is. */
const LOOKED_WITHIN = [0.001, 0.03, 1];

/** The exchanges, two pairs at most, that together come nearest to what is asked; in the larger of the two measures. */
function nearest(pairs: readonly Pair[], asked: Off, work: Work): readonly Move[] {
  const sorted = [...pairs].sort((a, b) => a.weight - b.weight);
  const off = Math.max(Math.abs(asked.weight), Math.abs(asked.worth));
  for (const part of LOOKED_WITHIN) {
    const found = nearestWithin(sorted, asked, { within: off * part, work });
    if (found) return found;
  }
  return [];
}

function nearestWithin(
  sorted: readonly Pair[],
  asked: Off,
  { within, work }: { readonly within: number; readonly work: Work },
): readonly Move[] | undefined {
  let best: readonly Move[] | undefined;
  let least = within;
  for (const one of sorted) {
    const [weight, worth] = [asked.weight - one.weight, asked.worth - one.worth];
    for (let at = firstFrom(sorted, weight - least); at < sorted.length; at += 1) {
      const other = sorted[at]!;
      if (other.weight > weight + least) break;
      work.compared += 1;
      const off = Math.max(Math.abs(other.weight - weight), Math.abs(other.worth - worth));
      if (off >= least) continue;
      if (!one.moves.every((move) => other.moves.every((also) => goTogether(move, also)))) continue;
      [best, least] = [[...one.moves, ...other.moves], off];
    }
  }
  return best;
}

/** The first of sorted pairs that is not lighter, by halving. */
function firstFrom(sorted: readonly Pair[], weight: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]!.weight < weight) low = middle + 1;
    else high = middle;
  }
  return low;
}
