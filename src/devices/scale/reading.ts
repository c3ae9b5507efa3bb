import type { WeighingUnit } from '@/core/quantity/weight';

/** What a scale says, many times a second. Weights in thousandths of its unit. */
export type ScaleReading = {
  readonly scaleId: string;
  /** Names what lies on the platform; a new one each time the platform has been empty. */
  readonly loadId: string;
  readonly gross: number;
  readonly tare: number;
  readonly net: number;
  readonly unit: WeighingUnit;
  readonly state: 'steady' | 'moving' | 'overload' | 'empty';
};

/** Any scale that the shop connects. A real driver implements this; the app ships with a simulated one. */
export interface Scale {
  /** Calls back with each reading until the signal aborts; rejects when the scale cannot be reached. */
  watch(onReading: (reading: ScaleReading) => void, signal: AbortSignal): Promise<void>;
  /** Takes what lies on the platform as the tare. */
  tare(): Promise<void>;
}
