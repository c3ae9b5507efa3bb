import type { Rite } from '../species/recipeTypes';

/** What waits to be ground, as far as its place in the day depends on it. */
export type GrindJob = {
  readonly id: string;
  readonly shareId: string;
  readonly species: string;
  readonly rite: Rite | '';
  readonly allergens: readonly string[];
  /** How lean it is asked, percent: the leanest first. */
  readonly leanPct: number;
};

/** What is done between two batches. */
export type Wash = 'none' | 'scrape' | 'species' | 'wet';

/** Minutes of each wash; a setting of the shop. */
export type WashMinutes = Readonly<Record<Wash, number>>;

/** Middles of the trade's figures: between customers 3 to 5, between species 15 to 20, a full wet clean 40 to 60. */
export const USUAL_WASH: WashMinutes = { none: 0, scrape: 5, species: 18, wet: 45 };

/** Species in the order of a day, pork last: after it nothing else is cut without a full clean. */
const SPECIES_ORDER = ['beef', 'bison', 'lamb', 'goat', 'hog'];
const PORK = 'hog';

/**
 * What must be washed between two batches: a full clean between allergen groups, between rites and from pork to
 * anything else; less between species; a scrape between owners, so that nobody's meat comes out first of another's.
 */
export function washBetween(before: GrindJob, after: GrindJob): Wash {
  const isSame = before.allergens.length === after.allergens.length;
  const sameAllergens = isSame && before.allergens.every((each) => after.allergens.includes(each));
  if (!sameAllergens || before.rite !== after.rite) return 'wet';
  if (before.species !== after.species) return before.species === PORK ? 'wet' : 'species';
  return before.shareId === after.shareId ? 'none' : 'scrape';
}

/** Washes that do for one that is due: a more thorough one does as well. */
export function washesThatDo(due: Wash): readonly Wash[] {
  const order: readonly Wash[] = ['none', 'scrape', 'species', 'wet'];
  return order.slice(order.indexOf(due));
}

/** A day's batches in an order, each with the wash before it. */
export type GrindDay = {
  readonly order: readonly { readonly id: string; readonly wash: Wash; readonly minutes: number }[];
  /** Of all washes. */
  readonly minutes: number;
};

/** A day as somebody has ordered it. */
export function dayInOrder(jobs: readonly GrindJob[], minutes: WashMinutes): GrindDay {
  const order = jobs.map((job, at) => {
    const wash = at === 0 ? 'none' : washBetween(jobs[at - 1]!, job);
    return { id: job.id, wash, minutes: minutes[wash] };
  });
  return { order, minutes: order.reduce((sum, each) => sum + each.minutes, 0) };
}

/** More kinds than these are not searched: no shop grinds so many between two mornings. */
const MOST_KINDS = 16;

/**
 * The order of a day with the fewest minutes of washing; of those the one that goes from rites and plain meat to
 * allergens, by species, leanest first. Exact: every order of the kinds of batches is accounted for.
 *
 * @throws RangeError when there are more than sixteen kinds
 */
export function bestDay(jobs: readonly GrindJob[], minutes: WashMinutes): GrindDay {
  const kinds = kindsOf(jobs);
  if (kinds.length > MOST_KINDS) {
    throw new RangeError(`"jobs" expected at most ${MOST_KINDS} kinds, got ${kinds.length}`);
  }
  return dayInOrder(
    bestOrder(kinds, minutes).flatMap((kind) => kind),
    minutes,
  );
}

/** Batches between which nothing but owners changes; within a kind owners stay together, the leanest first. */
function kindsOf(jobs: readonly GrindJob[]): GrindJob[][] {
  const kinds = new Map<string, GrindJob[]>();
  for (const job of jobs) {
    const key = JSON.stringify([job.species, job.rite, [...job.allergens].sort()]);
    kinds.set(key, [...(kinds.get(key) ?? []), job]);
  }
  return [...kinds.values()].map(ownersTogether);
}

function ownersTogether(jobs: readonly GrindJob[]): GrindJob[] {
  const leanestOf = new Map<string, number>();
  for (const { shareId, leanPct } of jobs) {
    leanestOf.set(shareId, Math.max(leanPct, leanestOf.get(shareId) ?? 0));
  }
  return [...jobs].sort(
    (a, b) =>
      leanestOf.get(b.shareId)! - leanestOf.get(a.shareId)! ||
      (a.shareId < b.shareId ? -1 : a.shareId > b.shareId ? 1 : 0) ||
      b.leanPct - a.leanPct,
  );
}

/** What an order costs: minutes first, then how often it goes against the usual order of a day. */
type Cost = { readonly minutes: number; readonly against: number };

const isLess = (a: Cost, b: Cost) =>
  a.minutes < b.minutes || (a.minutes === b.minutes && a.against < b.against);

/** Held and Karp: the best way to each set of kinds that ends with each of them. */
function bestOrder(kinds: readonly GrindJob[][], minutes: WashMinutes): GrindJob[][] {
  const count = kinds.length;
  if (count === 0) return [];
  const step = kinds.map((before) => kinds.map((after) => costBetween(before.at(-1)!, after[0]!, minutes)));
  const all = 2 ** count;
  const best: (Cost | undefined)[] = new Array(all * count);
  const cameFrom = new Int8Array(all * count).fill(-1);
  for (let last = 0; last < count; last += 1) {
    best[(1 << last) * count + last] = { minutes: 0, against: rankOf(kinds[last]![0]!) };
  }
  for (let set = 1; set < all; set += 1) {
    for (let last = 0; last < count; last += 1) {
      const known = best[set * count + last];
      if (!known) continue;
      for (let next = 0; next < count; next += 1) {
        if (set & (1 << next)) continue;
        const more = step[last]![next]!;
        const cost = { minutes: known.minutes + more.minutes, against: known.against + more.against };
        const at = (set | (1 << next)) * count + next;
        if (best[at] && !isLess(cost, best[at])) continue;
        best[at] = cost;
        cameFrom[at] = last;
      }
    }
  }
  return wayBack({ best, cameFrom, count, all }).map((kind) => kinds[kind]!);
}

type Searched = {
  readonly best: readonly (Cost | undefined)[];
  readonly cameFrom: Int8Array;
  readonly count: number;
  readonly all: number;
};

function wayBack({ best, cameFrom, count, all }: Searched): number[] {
  let set = all - 1;
  let last = 0;
  for (let end = 1; end < count; end += 1) {
    if (isLess(best[set * count + end]!, best[set * count + last]!)) last = end;
  }
  const way: number[] = [];
  while (last >= 0) {
    way.unshift(last);
    const before = cameFrom[set * count + last]!;
    set &= ~(1 << last);
    last = before;
  }
  return way;
}

function costBetween(before: GrindJob, after: GrindJob, minutes: WashMinutes): Cost {
  return {
    minutes: minutes[washBetween(before, after)],
    against: Math.max(0, rankOf(before) - rankOf(after)),
  };
}

/** Where a batch belongs in a day: rites, then plain meat, then one allergen more at a time; by species within. */
function rankOf({ rite, allergens, species }: GrindJob): number {
  const at = SPECIES_ORDER.indexOf(species);
  return (rite === '' ? 100 : 0) + 10 * allergens.length + (at < 0 ? SPECIES_ORDER.length : at);
}
