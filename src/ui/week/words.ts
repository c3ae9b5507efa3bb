import { dayWords, daysBetween, type Day } from '@/core/time/shopTime';
import { sticksOf, type Help } from '@/core/week/helps';
import type { PlannedWeek } from '@/core/week/bestPlan';
import { readyOn } from '@/core/week/ready';
import { costOfPlan, loadOf, byDay, type WeekPlan } from '@/core/week/room';
import type { WeekView } from '@/server/week';
import { counted } from '@/core/quantity/counted';

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

/** `Fri 27 Nov` */
export function dayName(day: string): string {
  return `${WEEKDAYS[new Date(`${day}T00:00:00Z`).getUTCDay()]} ${dayWords(day)}`;
}

/** What one says of the whole week. */
export function headWords({ room }: WeekView, plan: WeekPlan): string {
  const sticks = sticksOf(room, plan).length;
  if (room.animals.length === 0) return 'Nothing hangs, and nothing is booked';
  return sticks === 0 ? 'The week holds' : `The week holds, but for ${counted(sticks, 'thing')}`;
}

/** How good a plan is, as far as it is known. */
export function howGood(sofar: PlannedWeek | undefined, isPlanning: boolean): string {
  if (!sofar) return isPlanning ? 'Looking for the best week' : '';
  const gap = sofar.cost - sofar.bound;
  if (sofar.isProven) return 'Proven: no week is better.';
  if (isPlanning) return 'Still looking; this one is good so far.';
  return Number.isFinite(gap)
    ? `Not proven: no week is better by more than ${counted(gap, 'minute')} of overtime.`
    : 'Not proven yet.';
}

/** What a plan brings an animal, in a few words; empty where nothing sticks. */
export function stickWords({ room, animals }: WeekView, plan: WeekPlan, index: number): string {
  const at = plan[index] ?? null;
  const animal = room.animals[index]!;
  if (at === null) return 'no day has room';
  if (at > animal.longest) return 'hangs too long';
  if (animal.promise !== null && at > animal.promise) {
    return `not ready by ${dayName(animals[index]!.promised!)}`;
  }
  return '';
}

/** Days hung, as `14 of 14`. */
export function hungWords({ room, animals }: WeekView, index: number, at: number): string {
  const { killDate, targetDay } = animals[index]!;
  return `${daysBetween(killDate, room.days[at]!.day)} of ${daysBetween(killDate, targetDay)}`;
}

/** What moving an animal does, row by row. */
export function movedWords(
  view: WeekView,
  { from, to, index }: { readonly from: WeekPlan; readonly to: WeekPlan; readonly index: number },
): { readonly what: string; readonly words: string }[] {
  const { room, animals } = view;
  const [before, after] = [from[index] ?? null, to[index] ?? null];
  const days = [...new Set([after, before])].filter((at): at is number => at !== null);
  const load = (plan: WeekPlan, at: number) => loadOf(room, at, byDay(room, plan)[at]!);
  const change = (what: 'block' | 'bench') =>
    days
      .map((at) => {
        const [was, is] = [load(from, at)[what], load(to, at)[what]];
        if (is === was) return `${dayName(room.days[at]!.day)} ${is} of ${room.days[at]![what]}`;
        const sign = is > was ? '+' : '−';
        return `${dayName(room.days[at]!.day)} ${was} ${sign} ${Math.abs(is - was)} = ${is} of ${room.days[at]![what]}`;
      })
      .join('; ');
  const { isCured, promised } = animals[index]!;
  const more = costOfPlan(room, to) - costOfPlan(room, from);
  return [
    { what: 'block', words: change('block') },
    { what: 'bench', words: change('bench') },
    ...(after === null
      ? []
      : [
          { what: 'hang', words: `${hungWords(view, index, after)} days` },
          {
            what: 'ready',
            words: `${dayName(readyOn(room.days[after]!.day, isCured))}${promised ? `, promised ${dayName(promised)}` : ''}`,
          },
        ]),
    {
      what: 'worth',
      words:
        more === 0
          ? 'as good as before'
          : `${more > 0 ? 'worse' : 'better'} by ${counted(Math.abs(Math.round(more)), 'minute')} of overtime`,
    },
  ];
}

/** What somebody would give, and what is done to ask for it. */
export function helpWords(view: WeekView, help: Help): { readonly title: string; readonly detail: string } {
  const worth = `saves what ${counted(help.saves, 'minute')} of overtime are worth`;
  if (help.kind === 'hour' || help.kind === 'open') {
    const day = dayName(view.room.days[help.at]!.day);
    return {
      title: help.kind === 'hour' ? `An hour more on ${day}` : `Half a day on ${day}, which is closed`,
      detail: worth,
    };
  }
  const { tag, names, phone } = view.animals[help.animal]!;
  const ring = phone === '' ? '' : `, ring ${phone}`;
  return help.kind === 'promise'
    ? { title: `${tag} is not ready by the day that was promised`, detail: `${names[0]}${ring}; ${worth}` }
    : { title: `${tag} may be cut on another day`, detail: worth };
}

export type { Day };
