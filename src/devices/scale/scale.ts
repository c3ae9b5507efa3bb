import type { ScaleReading } from '@/core/scale/reading';

/** Any scale that the shop connects. A real driver implements this; the app ships with a simulated one. */
export interface Scale {
  /** Calls back with each reading until the signal aborts; rejects when the scale cannot be reached. */
  watch(onReading: (reading: ScaleReading) => void, signal: AbortSignal): Promise<void>;
  /** Takes what lies on the platform as the tare. */
  tare(): Promise<void>;
}
