import type { Day } from '../time/shopTime';

/** One day of the weeks ahead: what there is of it at the block and at the bench, minutes. A closed day has none. */
export type WeekDay = {
  readonly day: Day;
  readonly block: number;
  readonly bench: number;
  /** What each of the two may run over, minutes. */
  readonly over: number;
};

/** An animal that is to be cut. Days are places in the list of days; below zero is before it. */
export type ToCut = {
  readonly id: string;
  /** What is cut between two washes: its species, and its rite where it has one. */
  readonly species: string;
  readonly rite: string;
  /** Whole minutes at the block, and at bench and grinder. */
  readonly block: number;
  readonly bench: number;
  /** Chilled, and its sheets standing. */
  readonly first: number;
  /** When it has hung as long as it should, and as it may. */
  readonly target: number;
  readonly longest: number;
  /** The last day by which it is in time for what was promised; null where nothing was. */
  readonly promise: number | null;
  /** It stays where it is: it is begun, or somebody said so. */
  readonly pinned: number | null;
  /** Where the plan that stands has it; null where it is new. */
  readonly was: number | null;
};

/** What a shop minds, as whole points; minutes of overtime are the measure of all. */
export type WeekWeights = {
  /** A calendar day past its target. */
  readonly late: number;
  /** A calendar day before its target: it hangs less than it should. */
  readonly early: number;
  /** A calendar day past the longest: what hangs on spoils. */
  readonly spoils: number;
  /** Once, where it is cut too late for what was promised. */
  readonly promise: number;
  /** A minute over, at block or bench. */
  readonly overtime: number;
  /** A wash between two species on one day. */
  readonly wash: number;
  /** Once, where it is cut on another day than the plan that stands says. */
  readonly moved: number;
};

/** A late day is an hour of overtime; a broken promise two days of work; nothing is worth meat that spoils. */
export const USUAL_WEIGHTS: WeekWeights = {
  late: 60,
  early: 20,
  spoils: 600,
  promise: 900,
  overtime: 1,
  wash: 20,
  moved: 25,
};

/** Minutes that washing between two species takes, and more of it between two rites (`core/grindroom/board.ts`). */
export type WashTimes = { readonly species: number; readonly rite: number };

export type WeekRoom = {
  readonly days: readonly WeekDay[];
  readonly animals: readonly ToCut[];
  readonly weights: WeekWeights;
  readonly wash: WashTimes;
};

/** On which day each animal is cut, in their order; null where none of the days has room for it. */
export type WeekPlan = readonly (number | null)[];

/** Calendar days from one day of the room to another; days outside it go on one by one. */
function calendar({ days }: Pick<WeekRoom, 'days'>, at: number): number {
  const first = Date.parse(`${days[0]!.day}T00:00:00Z`);
  const known = days[Math.min(Math.max(at, 0), days.length - 1)]!;
  const beyond = at < 0 ? at : Math.max(0, at - days.length + 1);
  return Math.round((Date.parse(`${known.day}T00:00:00Z`) - first) / 86_400_000) + beyond;
}

/** What it costs in points to cut an animal on a day, whatever else is cut; of none of the days as one day after them. */
export function costOn(room: WeekRoom, animal: ToCut, at: number | null): number {
  const { weights } = room;
  const day = at ?? room.days.length;
  const past = (than: number) => Math.max(0, calendar(room, day) - calendar(room, than));
  const late = past(animal.target);
  const early = Math.max(0, calendar(room, animal.target) - calendar(room, day));
  const isBroken = animal.promise !== null && day > animal.promise;
  const isMoved = animal.was !== null && animal.was !== at;
  return (
    weights.late * late +
    weights.early * early +
    weights.spoils * past(animal.longest) +
    (isBroken ? weights.promise : 0) +
    (isMoved ? weights.moved : 0) +
    // It is never better to leave one hanging than to cut it on the last day.
    (at === null ? weights.promise + weights.spoils : 0)
  );
}

/** Whether an animal may be cut on a day at all. */
export function mayBeOn({ days }: Pick<WeekRoom, 'days'>, animal: ToCut, at: number): boolean {
  if (animal.pinned !== null) return at === animal.pinned;
  return at >= animal.first && days[at]!.block > 0;
}

/** A day of a plan: what is asked of it, and what that costs. */
export type DayLoad = {
  readonly block: number;
  readonly bench: number;
  /** Minutes of washing, within those at the block. */
  readonly washing: number;
  readonly washes: number;
  readonly overBlock: number;
  readonly overBench: number;
};

export function loadOf(room: WeekRoom, at: number, animals: readonly ToCut[]): DayLoad {
  const { block, bench } = room.days[at]!;
  const species = new Set(animals.map((each) => `${each.species} ${each.rite}`)).size;
  const rites = new Set(animals.map((each) => each.rite)).size;
  const washes = Math.max(0, species - 1);
  const washing = washes * room.wash.species + Math.max(0, rites - 1) * room.wash.rite;
  const asked = animals.reduce((sum, each) => sum + each.block, washing);
  const atBench = animals.reduce((sum, each) => sum + each.bench, 0);
  return {
    block: asked,
    bench: atBench,
    washing,
    washes,
    overBlock: Math.max(0, asked - block),
    overBench: Math.max(0, atBench - bench),
  };
}

/** Minutes that a day may run over; where what is pinned to it asks for more, as much as that. */
export function mostOver(room: WeekRoom, at: number): { readonly block: number; readonly bench: number } {
  const pinned = loadOf(
    room,
    at,
    room.animals.filter((each) => each.pinned === at),
  );
  const { over } = room.days[at]!;
  return { block: Math.max(over, pinned.overBlock), bench: Math.max(over, pinned.overBench) };
}

/** What a day costs besides what its animals cost each; infinite where it runs over more than it may. */
export function costOfDay(room: WeekRoom, at: number, animals: readonly ToCut[]): number {
  const { overBlock, overBench, washes } = loadOf(room, at, animals);
  const most = mostOver(room, at);
  if (overBlock > most.block || overBench > most.bench) return Number.POSITIVE_INFINITY;
  return room.weights.overtime * (overBlock + overBench) + room.weights.wash * washes;
}

/** The animals of each day under a plan. */
export function byDay({ days, animals }: WeekRoom, plan: WeekPlan): ToCut[][] {
  return days.map((_, at) => animals.filter((_animal, index) => plan[index] === at));
}

/** What a whole plan costs; infinite where it cannot be done. */
export function costOfPlan(room: WeekRoom, plan: WeekPlan): number {
  const each = room.animals.reduce((sum, animal, index) => {
    const at = plan[index] ?? null;
    if (at !== null && !mayBeOn(room, animal, at)) return Number.POSITIVE_INFINITY;
    return sum + costOn(room, animal, at);
  }, 0);
  return byDay(room, plan).reduce((sum, animals, at) => sum + costOfDay(room, at, animals), each);
}
