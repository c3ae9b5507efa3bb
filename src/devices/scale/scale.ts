import type { SignedReading } from '@/core/scale/reading';

/** Any scale that the shop connects. A real driver implements this; the app ships with a simulated one. */
export interface Scale {
  /** Calls back with each reading until the signal aborts; rejects when the scale cannot be reached, or hangs up. */
  watch(onReading: (reading: SignedReading) => void, signal: AbortSignal): Promise<void>;
  /** Takes what lies on the platform as the tare; `moving` when it has to lie still first. */
  tare(): Promise<'taken' | 'moving'>;
  /** Whether a reading is one that this shop has heard from a scale, unchanged on its way to the table and back. */
  vouches(reading: SignedReading): boolean;
}
