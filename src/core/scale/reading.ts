import type { WeighingUnit } from '../quantity/weight';

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
