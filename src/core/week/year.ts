import { daysAfter, daysBetween, type Day } from '../time/shopTime';
import {
  byDay,
  loadOf,
  USUAL_WEIGHTS,
  type ToCut,
  type WeekDay,
  type WeekPlan,
  type WeekRoom,
  type WashTimes,
} from './room';

/** An animal of a year, as it was booked. */
export type Arrival = {
  readonly id: string;
  readonly species: string;
  readonly rite: string;
  readonly kill: Day;
  readonly block: number;
  readonly bench: number;
  /** Days that it should hang, and may. */
  readonly targetDays: number;
  readonly longestDays: number;
};

/** What a year came to; days by the calendar, over all animals. */
export type YearFigures = {
  readonly cut: number;
  readonly daysLate: number;
  readonly daysEarly: number;
  /** Animals that hung longer than they may. */
  readonly tooLong: number;
  /** Minutes over, at block and bench. */
  readonly overtime: number;
  readonly washes: number;
};

type Shop = {
  /** What there is of a day. */
  readonly dayOf: (day: Day) => Omit<WeekDay, 'day'>;
  readonly wash: WashTimes;
};

/** After so many days what is not cut yet fits on no day. */
const LAST = 120;

/** A shop knows what is killed within so many days, and plans so many ahead. */
const [KNOWN, AHEAD] = [7, 21];

/**
 * A year day by day: whenever something new is known the days ahead are planned by the rule, and each day what is planned for
 * it is cut.
 *
 * @param rule - which animal on which day, of a room
 */
export async function yearOf(
  arrivals: readonly Arrival[],
  { dayOf, wash }: Shop,
  rule: (room: WeekRoom) => WeekPlan | Promise<WeekPlan>,
): Promise<YearFigures> {
  const figures = { cut: 0, daysLate: 0, daysEarly: 0, tooLong: 0, overtime: 0, washes: 0 };
  const waiting = [...arrivals].sort((a, b) => (a.kill < b.kill ? -1 : a.kill > b.kill ? 1 : 0));
  const planned = new Map<string, Day>();
  let known = '';
  const first = waiting[0]?.kill;
  const end = first && daysAfter(waiting.at(-1)!.kill, LAST);
  for (let now = first; now && now < end! && waiting.length > 0; now = daysAfter(now, 1)) {
    if (dayOf(now).block === 0) continue;
    const inSight = waiting.filter(({ kill }) => daysBetween(now, kill) <= KNOWN);
    const room = roomOn(now, inSight, { dayOf, wash, planned });
    const names = inSight.map(({ id }) => id).join(' ');
    const isStale = names !== known || inSight.some(({ id }) => (planned.get(id) ?? '') < now);
    if (isStale) {
      const plan = await rule(room);
      planned.clear();
      plan.forEach((at, index) => at !== null && planned.set(room.animals[index]!.id, room.days[at]!.day));
    }
    const plan = room.animals.map(({ id }) => (planned.get(id) === now ? 0 : null));
    const onDay = byDay(room, plan)[0]!;
    const load = loadOf(room, 0, onDay);
    figures.cut += onDay.length;
    figures.overtime += load.overBlock + load.overBench;
    figures.washes += load.washes;
    for (const animal of onDay) {
      figures.daysLate += Math.max(0, -animal.target);
      figures.daysEarly += Math.max(0, animal.target);
      figures.tooLong += animal.longest < 0 ? 1 : 0;
      waiting.splice(
        waiting.findIndex(({ id }) => id === animal.id),
        1,
      );
    }
    known = waiting
      .filter(({ kill }) => daysBetween(now, kill) <= KNOWN)
      .map(({ id }) => id)
      .join(' ');
  }
  return figures;
}

function roomOn(
  today: Day,
  arrivals: readonly Arrival[],
  { dayOf, wash, planned }: Shop & { readonly planned: ReadonlyMap<string, Day> },
): WeekRoom {
  const days = Array.from({ length: AHEAD }, (_, later): WeekDay => {
    const day = daysAfter(today, later);
    return { day, ...dayOf(day) };
  });
  const animals = arrivals.map((each): ToCut => {
    const was = planned.get(each.id);
    const at = was === undefined ? -1 : daysBetween(today, was);
    const hung = daysBetween(each.kill, today);
    return {
      ...{ id: each.id, species: each.species, rite: each.rite, block: each.block, bench: each.bench },
      first: Math.max(0, 1 - hung),
      target: each.targetDays - hung,
      longest: each.longestDays - hung,
      promise: null,
      pinned: null,
      was: at >= 0 && at < AHEAD ? at : null,
    };
  });
  return { days, animals, weights: USUAL_WEIGHTS, wash };
}
