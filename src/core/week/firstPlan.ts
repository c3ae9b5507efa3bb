import { byDay, costOfDay, costOn, mayBeOn, type ToCut, type WeekPlan, type WeekRoom } from './room';

/** A plan that is being changed, with what each of its days costs. */
class Draft {
  readonly on: (number | null)[];
  private readonly days: ToCut[][];
  private readonly dayCosts: number[];

  constructor(
    private readonly room: WeekRoom,
    plan: WeekPlan,
  ) {
    this.on = [...plan];
    this.days = byDay(room, plan);
    this.dayCosts = this.days.map((animals, at) => costOfDay(room, at, animals));
  }

  /** What all costs more, or less, where some animals are on other days; no animal twice. */
  change(moves: readonly (readonly [number, number | null])[]): number {
    const { room } = this;
    let more = 0;
    const touched = new Map<number, ToCut[]>();
    const dayOf = (at: number) => {
      const known = touched.get(at) ?? this.days[at]!;
      touched.set(at, known);
      return known;
    };
    for (const [index, to] of moves) {
      const animal = room.animals[index]!;
      const from = this.on[index]!;
      if (to !== null && !mayBeOn(room, animal, to)) return Number.POSITIVE_INFINITY;
      more += costOn(room, animal, to) - costOn(room, animal, from);
      if (from !== null)
        touched.set(
          from,
          dayOf(from).filter((each) => each !== animal),
        );
      if (to !== null) touched.set(to, [...dayOf(to), animal]);
    }
    for (const [at, animals] of touched) more += costOfDay(room, at, animals) - this.dayCosts[at]!;
    return more;
  }

  move(moves: readonly (readonly [number, number | null])[]): void {
    for (const [index, to] of moves) {
      const animal = this.room.animals[index]!;
      const from = this.on[index]!;
      if (from !== null) this.days[from] = this.days[from]!.filter((each) => each !== animal);
      if (to !== null) this.days[to] = [...this.days[to]!, animal];
      this.on[index] = to;
      for (const at of [from, to]) {
        if (at !== null) this.dayCosts[at] = costOfDay(this.room, at, this.days[at]!);
      }
    }
  }
}

/**
 * A plan in a moment: whatever is due first takes its cheapest day, then single moves and exchanges as long as one helps.
 * Good, and never worse than where it began; `bestPlan` says how good.
 *
 * @param from - where it begins; from nothing where it is left out
 */
export function firstPlan(room: WeekRoom, from?: WeekPlan): WeekPlan {
  const draft = new Draft(room, from ?? room.animals.map(({ pinned }) => pinned));
  const order = inDueOrder(room);
  for (const index of order) if (draft.on[index] === null) takeBest(room, draft, index);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const moved = order.filter((index) => takeBest(room, draft, index)).length;
    const exchanged = exchange(room, draft, order);
    if (moved + exchanged === 0) break;
  }
  return draft.on;
}

const MOST_ROUNDS = 40;

function inDueOrder(room: WeekRoom): number[] {
  return [...room.animals.keys()].sort((a, b) => dueOf(room, a) - dueOf(room, b) || a - b);
}

function dueOf({ animals }: WeekRoom, index: number): number {
  const { promise, target } = animals[index]!;
  return Math.min(target, promise ?? target);
}

function takeBest(room: WeekRoom, draft: Draft, index: number): boolean {
  let best: { readonly to: number | null; readonly more: number } = { to: null, more: -LEAST };
  for (let to = 0; to < room.days.length; to += 1) {
    if (to === draft.on[index]) continue;
    const more = draft.change([[index, to]]);
    if (more < best.more) best = { to, more };
  }
  if (best.to === null) return false;
  draft.move([[index, best.to]]);
  return true;
}

/** Less than this is rounding. */
const LEAST = 1e-9;

function exchange(room: WeekRoom, draft: Draft, order: readonly number[]): number {
  let exchanged = 0;
  for (const one of order) {
    for (const other of order) {
      const [from, to] = [draft.on[one]!, draft.on[other]!];
      if (one >= other || from === to) continue;
      const moves = [
        [one, to],
        [other, from],
      ] as const;
      if (draft.change(moves) < -LEAST) {
        draft.move(moves);
        exchanged += 1;
      }
    }
  }
  return exchanged;
}

/** As a shop does without a plan: in the order in which they came, each on the first day that has room for it. */
export function firstComeFirstServed(room: WeekRoom): WeekPlan {
  return served(room, [...room.animals.keys()]);
}

/** The same in the order in which they should be cut. */
export function earliestDue(room: WeekRoom): WeekPlan {
  return served(room, inDueOrder(room));
}

function served(room: WeekRoom, order: readonly number[]): WeekPlan {
  const draft = new Draft(
    room,
    room.animals.map(({ pinned }) => pinned),
  );
  for (const index of order) {
    if (draft.on[index] !== null) continue;
    const { target } = room.animals[index]!;
    const days = room.days.map((_, at) => at);
    // Nobody cuts what has not hung; when everything is full, whatever day has room.
    const fits = (at: number) => Number.isFinite(draft.change([[index, at]]));
    const to = days.find((at) => at >= target && fits(at)) ?? days.findLast(fits);
    if (to !== undefined) draft.move([[index, to]]);
  }
  return draft.on;
}
