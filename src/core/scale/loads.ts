import type { ScaleReading } from './reading';

/** What is known of what lies on a scale, from everything it has said so far. */
export type LoadWatch = {
  /** Names this watch among all others; a load keeps its name as long as the watch goes on. */
  readonly watchId: string;
  readonly count: number;
  /** The weight at which the load in hand stood still, thousandths; null while it has not. */
  readonly steadyAt: number | null;
  /** It lay there when the watch began. */
  readonly found: boolean;
};

export function beginWatch(watchId: string): LoadWatch {
  return { watchId, count: 0, steadyAt: null, found: true };
}

/** What tells one load from the next, in divisions: a scale may flicker by one. */
const FLICKER = 2;

/**
 * Another word of the scale. A new load begins when the platform has been empty, and when it stands still at another
 * weight than before: then something was put in its place, or on top of it.
 *
 * @param division - of the scale, thousandths
 */
export function nextWatch(
  watch: LoadWatch,
  { state, gross }: Pick<ScaleReading, 'state' | 'gross'>,
  division: number,
): LoadWatch {
  if (state === 'empty') {
    return watch.steadyAt === null && !watch.found
      ? watch
      : { ...watch, count: watch.count + 1, steadyAt: null, found: false };
  }
  if (state !== 'steady') return watch;
  if (watch.steadyAt === null) return { ...watch, steadyAt: gross };
  if (Math.abs(gross - watch.steadyAt) <= FLICKER * division) return watch;
  return { ...watch, count: watch.count + 1, steadyAt: gross, found: false };
}

/** The name of what lies there now. */
export function loadIdOf({ watchId, count }: LoadWatch): string {
  return `${watchId}-${count}`;
}
