import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { OnScale } from '../curing/inCure';
import type { WeighingId } from '../order/work';
import type { Instant } from '../time/shopTime';
import { againstPlan, type PlanVerdict, type Post, type ProbeReading, type SmokePlan } from './plan';

/** A load of the smokehouse: what hangs in it, and by which plan. */
export type SmokeLoad = {
  readonly id: string;
  readonly lot: string;
  /** As it was when the load was begun. */
  readonly plan: SmokePlan;
  readonly at: Instant;
  readonly actorId: string;
};

/** What is done to a load. */
export type SmokeDeed =
  | { readonly kind: 'in'; readonly weighingId: WeighingId; readonly trolley: string }
  | { readonly kind: 'out'; readonly weighingId: WeighingId }
  /** @param channel - of the probe */
  | { readonly kind: 'lit'; readonly channel: number }
  /** Cold, and held against its plan; what was missed or is not known stays with it. */
  | { readonly kind: 'ended'; readonly posts: readonly Post[]; readonly holds: readonly string[] }
  | { readonly kind: 'held' | 'released'; readonly reason: string }
  | { readonly kind: 'noted'; readonly words: string }
  | { readonly kind: 'smoked'; readonly weighingId: WeighingId; readonly net: Weight; readonly on: OnScale };

export type SmokeEvent = SmokeDeed & { readonly id: string; readonly at: Instant; readonly actorId: string };

/** A load with everything that was done to it, in the order in which it was. */
export type SmokeFile = { readonly load: SmokeLoad; readonly events: readonly SmokeEvent[] };

/** A piece in a load. */
export type InLoad = {
  readonly weighingId: WeighingId;
  readonly trolley: string;
  /** What it weighed out of the smoke; null where nobody weighed it. */
  readonly smoked: Weight | null;
};

export type LoadStanding = {
  readonly pieces: readonly InLoad[];
  /** Null before it is lit. */
  readonly lit: { readonly at: Instant; readonly channel: number } | null;
  readonly ended: Instant | null;
  readonly posts: readonly Post[];
  /** Why nothing of it leaves, in sentences; empty where it may. */
  readonly held: readonly string[];
  /** Why the owner let it go all the same, the last word; empty where nobody had to. */
  readonly released: string;
};

/**
 * Where a load stands.
 *
 * @param readings - in the order of their minutes; not needed once it has ended
 * @param unit - of the shop, by which its degrees are said
 */
export function loadStanding(
  { plan }: Pick<SmokeLoad, 'plan'>,
  events: readonly SmokeEvent[],
  readings: readonly ProbeReading[] = [],
  unit: WeighingUnit = 'lb',
): LoadStanding {
  const lit = events.find((event) => event.kind === 'lit');
  const ended = events.find((event) => event.kind === 'ended');
  const verdict: PlanVerdict = ended?.kind === 'ended' ? ended : againstPlan(plan, readings, false, unit);
  const word = events.findLast(({ kind }) => kind === 'held' || kind === 'released');
  const isReleased = word?.kind === 'released';
  return {
    pieces: piecesOf(events),
    lit: lit?.kind === 'lit' ? { at: lit.at, channel: lit.channel } : null,
    ended: ended?.at ?? null,
    posts: verdict.posts,
    held: isReleased && ended ? [] : [...verdict.holds, ...(word?.kind === 'held' ? [word.reason] : [])],
    released: isReleased ? word.reason : '',
  };
}

/** What hangs in a load after all that was put in and taken out again. */
function piecesOf(events: readonly SmokeEvent[]): InLoad[] {
  const inIt = new Map<WeighingId, InLoad>();
  for (const event of events) {
    if (event.kind === 'in') {
      const { weighingId, trolley } = event;
      inIt.set(weighingId, { weighingId, trolley, smoked: null });
    } else if (event.kind === 'out') inIt.delete(event.weighingId);
    else if (event.kind === 'smoked') {
      inIt.set(event.weighingId, { ...inIt.get(event.weighingId)!, smoked: event.net });
    }
  }
  return [...inIt.values()];
}

/** A piece that somebody wants to hang in a load. */
export type ToSmoke = {
  readonly weighingId: WeighingId;
  /** As it goes in: drained, pumped or green. */
  readonly weight: Weight;
  /** Ground meat, or a whole piece. */
  readonly isGround: boolean;
  /** Whether nitrite is in it that the slow cooling stands on. */
  readonly hasNitrite: boolean;
  /** Why it may not go on; empty where it may. */
  readonly waits: string;
};

type Asked = {
  readonly unit: WeighingUnit;
  /** The piece that a deed is about; undefined where it is about none, or where there is no such piece. */
  readonly piece?: ToSmoke | undefined;
};

/** Why a deed cannot be done to a load; empty where it can. Only the owner releases one: that is asked before. */
export function whyNotLoad(
  { plan }: Pick<SmokeLoad, 'plan'>,
  { pieces, lit, ended, held }: LoadStanding,
  deed: SmokeDeed,
  { unit, piece }: Asked,
): string {
  const hangs = 'weighingId' in deed && pieces.some(({ weighingId }) => weighingId === deed.weighingId);
  switch (deed.kind) {
    case 'in':
      if (lit) return 'This load is lit: nothing goes in any more.';
      return hangs ? 'It hangs in this load already.' : whyNotIn(plan, piece);
    case 'out':
      if (lit) return 'This load is lit. Hold it, and say why, instead.';
      return hangs ? '' : 'It does not hang in this load.';
    case 'lit':
      if (lit) return 'This load is lit already.';
      return pieces.length === 0 ? 'Nothing hangs in this load yet.' : '';
    case 'ended':
      if (!lit) return 'This load was never lit.';
      return ended ? 'This load is out already.' : '';
    case 'held':
    case 'noted':
      return '';
    case 'released':
      if (held.length === 0) return 'This load is not held.';
      return ended ? '' : 'It is still in the smoke or cooling: end it first, then everything is known.';
    case 'smoked':
      if (!ended) return 'It is still in the smoke or cooling.';
      return hangs ? whyNotSmoked(deed.net, piece, unit) : 'It does not hang in this load.';
  }
}

function whyNotIn(plan: SmokePlan, piece: ToSmoke | undefined): string {
  if (!piece) return 'There is no such piece.';
  if (piece.waits !== '') return piece.waits;
  if (piece.isGround && !plan.ground)
    return `${plan.name} is for whole pieces: ground meat needs a hotter plan.`;
  return !piece.hasNitrite && plan.curedOnly
    ? `${plan.name} cools as cured meat may; without nitrite it must cool faster. Take another plan.`
    : '';
}

/** Smoke takes away and never adds; what weighs more is another piece. */
function whyNotSmoked(net: Weight, piece: ToSmoke | undefined, unit: WeighingUnit): string {
  if (!piece || net <= piece.weight) return '';
  return `It went in with ${formatWeight(piece.weight, unit)} ${unit}; out of the smoke it cannot weigh more.`;
}
