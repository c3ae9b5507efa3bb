import type { ScaleReading } from '@/core/scale/reading';
import type { Target } from './targets';

/** Why what lies on the scale cannot be taken for a target, in words; undefined when it can. */
export function whyNotTaken(target: Target | undefined, reading: ScaleReading | null): string | undefined {
  if (!target) return 'Choose what is on the scale.';
  if (target.waits !== '') return `${target.title}: ${target.waits}.`;
  return whyNoReading(reading);
}

/** Why what a scale says is no weight yet, in words; undefined when it is. */
export function whyNoReading(reading: ScaleReading | null): string | undefined {
  if (!reading) return 'The scale does not answer. Check its cable.';
  switch (reading.state) {
    case 'moving':
      return 'The scale is still moving. Wait for steady.';
    case 'overload':
      return 'Too heavy for this scale. Take it off and split it.';
    case 'empty':
      return 'Nothing is on the scale.';
    case 'steady':
      return undefined;
  }
}
