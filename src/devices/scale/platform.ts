import type { ScaleUnit } from '@/core/scale/reading';
import type { SaidWeight, ScaleIdentity } from './scaleWords';

export type ScaleKind = 'bench' | 'rail' | 'spice';

/**
 * What the simulated scales carry and in which divisions they show it, thousandths: the bench 30 lb by 0.01 or 15 kg by
 * 0.005, the rail 1000 lb by 0.1 or 450 kg by 0.05; the scale for seasoning 6 kg by a tenth of a gram.
 */
type PerUnit = Readonly<Record<ScaleUnit, number>>;
const GRAMS = { capacity: 6_000_000, division: 100 };
const CAPACITY: Readonly<Record<ScaleKind, PerUnit>> = {
  bench: { lb: 30_000, kg: 15_000, g: GRAMS.capacity },
  rail: { lb: 1_000_000, kg: 450_000, g: GRAMS.capacity },
  spice: { lb: 13_000, kg: 6_000, g: GRAMS.capacity },
};
const DIVISION: Readonly<Record<ScaleKind, PerUnit>> = {
  bench: { lb: 10, kg: 5, g: GRAMS.division },
  rail: { lb: 100, kg: 50, g: GRAMS.division },
  spice: { lb: 1, kg: 1, g: GRAMS.division },
};

/** Readings until a load has settled: about half a second at the rate the simulation sends. */
const READINGS_TO_SETTLE = 4;

/** What lies on the simulated platform and how it has been handled. */
export type Platform = {
  readonly kind: ScaleKind;
  readonly scaleId: string;
  readonly unit: ScaleUnit;
  readonly load: number;
  /** What is put on as soon as the platform has been seen empty. */
  readonly next: number | null;
  readonly tare: number;
  readonly shaking: boolean;
  /** Readings sent since the load last changed. */
  readonly settled: number;
};

export function emptyPlatform(scaleId: string, unit: ScaleUnit, kind: ScaleKind = 'bench'): Platform {
  return { kind, scaleId, unit, load: 0, next: null, tare: 0, shaking: false, settled: READINGS_TO_SETTLE };
}

/**
 * Puts a weight on the platform in place of what lies there.
 *
 * @param load - thousandths, 0 clears the platform
 */
export function placeLoad(platform: Platform, load: number): Platform {
  return { ...platform, load, next: null, settled: 0 };
}

/** Lifts what lies there and puts the same weight back: another piece that happens to weigh the same. */
export function placeAgain(platform: Platform, load: number): Platform {
  const isSeenEmpty = platform.load === 0 && stateOf(platform) === 'empty';
  return isSeenEmpty ? placeLoad(platform, load) : { ...placeLoad(platform, 0), next: load };
}

export function shake(platform: Platform, shaking: boolean): Platform {
  return { ...platform, shaking, settled: 0 };
}

/** Takes the load as tare, when it lies still; an empty platform clears the tare. */
export function takeTare(platform: Platform): Platform | 'not-steady' {
  if (stateOf(platform) === 'moving' || stateOf(platform) === 'overload') return 'not-steady';
  return { ...platform, tare: rounded(platform, platform.load) };
}

/** Who the simulated scale says it is. */
export function identityOf({ kind, scaleId, unit }: Platform): ScaleIdentity {
  return { scaleId, unit, division: DIVISION[kind][unit], capacity: CAPACITY[kind][unit] };
}

/** What it says next; `wobble` from -1 to 1 says how far a moving load is off. */
export function nextWeight(platform: Platform, wobble: number): { platform: Platform; said: SaidWeight } {
  const state = stateOf(platform);
  const swing = state === 'moving' ? wobble * Math.max(60, platform.load * 0.04) : 0;
  const gross = Math.max(0, rounded(platform, platform.load + swing));
  const after = { ...platform, settled: platform.settled + 1 };
  return {
    platform: state === 'empty' && platform.next !== null ? placeLoad(platform, platform.next) : after,
    said: { state, gross, tare: platform.tare },
  };
}

function stateOf(platform: Platform): SaidWeight['state'] {
  if (platform.load > CAPACITY[platform.kind][platform.unit]) return 'overload';
  if (platform.shaking || platform.settled < READINGS_TO_SETTLE) return 'moving';
  return platform.load === 0 ? 'empty' : 'steady';
}

function rounded(platform: Platform, load: number): number {
  const division = DIVISION[platform.kind][platform.unit];
  return Math.round(load / division) * division;
}
