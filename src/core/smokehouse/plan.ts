import { wholeDegrees } from '../quantity/degrees';
import type { WeighingUnit } from '../quantity/weight';

/** What a probe said: minutes since the load was lit, degrees Fahrenheit. */
export type ProbeReading = { readonly minute: number; readonly degrees: number };

/** Heat that a load must have: so many degrees for so many minutes on end; 0 minutes is at once. */
export type Lethal = { readonly over: number; readonly minutes: number };

/** A stretch of cooling: from one temperature to another within so many minutes. */
export type Cooling = { readonly from: number; readonly to: number; readonly minutes: number };

/**
 * A shop's plan for a kind of load. Any one of the heats is enough; every stretch of cooling must be kept. The figures are
 * the shop's own: a program stores them and shows what happened, and decides nothing.
 */
export type SmokePlan = {
  readonly id: string;
  readonly name: string;
  /** Empty where what comes out is not ready to eat. */
  readonly lethal: readonly Lethal[];
  readonly cooling: readonly Cooling[];
  /** Ground meat may go by it as well. */
  readonly ground?: boolean;
  /** Its cooling is that of meat with nitrite: nothing else goes by it. */
  readonly curedOnly?: boolean;
  /** What labels say of whatever came through it: whether it is cooked. */
  readonly label: string;
};

/** Longer than this nobody knows how warm it was; minutes. */
export const LONGEST_SILENCE = 10;

/** Usual stretches for what is cured with nitrite, and for what is not (processing figures; the plant's own plan stands above). */
export const COOLING_CURED: readonly Cooling[] = [
  { from: 130, to: 80, minutes: 300 },
  { from: 80, to: 45, minutes: 600 },
];
export const COOLING_UNCURED: readonly Cooling[] = [
  { from: 130, to: 80, minutes: 90 },
  { from: 80, to: 40, minutes: 300 },
];

/** Usual heats for whole muscle that is ready to eat; ground meat and what is unknown needs 160 F. */
export const LETHAL_WHOLE: readonly Lethal[] = [
  { over: 145, minutes: 4 },
  { over: 158, minutes: 0 },
];
export const LETHAL_GROUND: readonly Lethal[] = [{ over: 160, minutes: 0 }];

/** A line of a plan as it stands in the curve of a load. */
export type Post = {
  readonly kind: 'heat' | 'cooling';
  readonly words: string;
  /** What must be got over, or under; of several heats the lowest. */
  readonly degrees: number;
  /** By when it must be met; null where there is no such moment, or it is not known yet. */
  readonly by: number | null;
  /** When it was met; null where it was not. */
  readonly met: number | null;
  readonly state: 'met' | 'missed' | 'open' | 'unknown';
};

/** What a plan says of a load, post by post; missed or unknown, the load is held. */
export type PlanVerdict = { readonly posts: readonly Post[]; readonly holds: readonly string[] };

/**
 * Holds a curve against a plan.
 *
 * @param readings - in the order of their minutes
 * @param ended - whether the load is through: what is not met by then is missed
 * @param unit - of the shop, by which its degrees are said
 */
export function againstPlan(
  { lethal, cooling }: SmokePlan,
  readings: readonly ProbeReading[],
  ended: boolean,
  unit: WeighingUnit = 'lb',
): PlanVerdict {
  const posts = [
    ...(lethal.length > 0 ? [heatOf(lethal, readings, { ended, unit })] : []),
    ...cooling.map((stretch) => coolingOf(stretch, readings, { ended, unit })),
  ];
  const holds = posts.flatMap(({ state, words }) => {
    if (state === 'missed') return [`Missed: ${words}.`];
    return state === 'unknown' ? [`Nobody knows: the probe was silent at ${words}.`] : [];
  });
  return { posts, holds };
}

/** Whether a load is through, and on which scale its shop reads. */
type Asked = { readonly ended: boolean; readonly unit: WeighingUnit };

function heatOf(lethal: readonly Lethal[], readings: readonly ProbeReading[], { ended, unit }: Asked): Post {
  const words = heatWords(lethal, unit);
  const times = lethal.flatMap((heat) => heldSince(heat, readings) ?? []);
  const met = times.length > 0 ? Math.min(...times) : null;
  const degrees = Math.min(...lethal.map(({ over }) => over));
  return {
    kind: 'heat',
    words,
    degrees,
    by: null,
    met,
    state: met !== null ? 'met' : ended ? 'missed' : 'open',
  };
}

/** The minute at which a heat was held long enough; a silence breaks it off. */
function heldSince({ over, minutes }: Lethal, readings: readonly ProbeReading[]): number | null {
  let since: number | null = null;
  let before: number | null = null;
  for (const { minute, degrees } of readings) {
    const silent = before !== null && minute - before > LONGEST_SILENCE;
    before = minute;
    if (degrees < over) {
      since = null;
      continue;
    }
    if (since === null || silent) since = minute;
    if (minute - since >= minutes) return minute;
  }
  return null;
}

/** The stretch runs from the last moment at or above its beginning. Only what got so warm cools by it. */
function coolingOf(
  { from, to, minutes }: Cooling,
  readings: readonly ProbeReading[],
  { ended, unit }: Asked,
): Post {
  const words = coolingWords({ from, to, minutes }, unit);
  const warm = readings.filter(({ degrees }) => degrees >= from).at(-1);
  if (!warm)
    return { kind: 'cooling', words, degrees: to, by: null, met: null, state: ended ? 'met' : 'open' };
  const by = warm.minute + minutes;
  const after = readings.filter(({ minute }) => minute > warm.minute);
  const met = after.find(({ degrees }) => degrees <= to)?.minute ?? null;
  const post = { kind: 'cooling' as const, words, degrees: to, by, met };
  if (met !== null && met <= by) return { ...post, state: 'met' };
  const last = after.at(-1)?.minute ?? warm.minute;
  if (met === null && last < by) return { ...post, state: ended ? 'missed' : 'open' };
  // A silence over the moment itself may hide that it was met in time.
  const seen = after.filter(({ minute }) => minute <= by).at(-1)?.minute ?? warm.minute;
  const next = after.find(({ minute }) => minute > by)?.minute ?? by;
  return { ...post, state: next - seen > LONGEST_SILENCE ? 'unknown' : 'missed' };
}

/** `145 F for 4 min or 158 F`; empty where what comes out is not cooked. */
export function heatWords(lethal: readonly Lethal[], unit: WeighingUnit): string {
  return lethal
    .map(({ over, minutes }) => `${wholeDegrees(over, unit)}${minutes === 0 ? '' : ` for ${minutes} min`}`)
    .join(' or ');
}

/** `under 80 F within 5 h from 130 F` */
export function coolingWords({ from, to, minutes }: Cooling, unit: WeighingUnit): string {
  return `under ${wholeDegrees(to, unit)} within ${hoursWords(minutes)} from ${wholeDegrees(from, unit)}`;
}

function hoursWords(minutes: number): string {
  return minutes % 60 === 0 ? `${minutes / 60} h` : `${minutes} min`;
}
